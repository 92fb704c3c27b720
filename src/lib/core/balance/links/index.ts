export { judgeLinksOff, linkState } from './prove-off';
