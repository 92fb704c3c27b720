export { type MatchState, type PlacedGroup, buildRefusals, matchState, resistiveCells } from './match-state';
