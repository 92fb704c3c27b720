export { judgeLinksOff, linkState, type LinkState } from './prove-off';
