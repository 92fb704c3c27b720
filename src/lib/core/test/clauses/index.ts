export {
	type Asked,
	type ClauseRun,
	OTHER_END_V,
	type Tick,
	USUAL_CONDITIONS,
	answersClause,
	bindingClause,
	clauseStrip
} from './clause';
export { type Protocol, builtInProtocols, protocolsFor } from './protocols';
