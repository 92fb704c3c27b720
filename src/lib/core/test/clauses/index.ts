export {
	ASKED,
	CLAUSE_KINDS,
	OTHER_END_V,
	USUAL_CONDITIONS,
	answersClause,
	bindingClause,
	clauseStrip,
	type Asked,
	type Clause,
	type ClauseKind,
	type ClauseRun,
	type Tick
} from './clause';
export { builtInProtocols, protocolsFor, type Protocol } from './protocols';
