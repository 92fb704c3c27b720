import { seededRandom } from '$lib/core/foundation/statistics';
import type { Answer } from './answer';
import { QUESTIONS } from './questions';
import { drawWorld } from './world';

/** Far apart, so that the worlds of two seeds have nothing in common. */
const SEED_STRIDE = 7919;

/** A number from a name (FNV-1a), so that a question draws the same worlds whichever stand beside it. */
const numberOf = (name: string): number =>
	[...name].reduce((hash, letter) => Math.imul(hash ^ letter.charCodeAt(0), 16_777_619) >>> 0, 2_166_136_261);

/**
 * Asks every question of each of so many worlds; the same seed gives the same worlds, whatever else is asked of them.
 * @param only names (or parts of them) of the questions to ask; all when missing
 * @param onWorld told after each world how many are done
 * @param part of the worlds, where several threads share them: every `of`-th pair, from `first`
 * @param costlyEvery only every so many-th world is asked what takes long
 */
export function askWorlds(
	worlds: number,
	seed: number,
	onWorld: (done: number) => void = () => undefined,
	only: readonly string[] = [''],
	part: { first: number; of: number } = { first: 0, of: 1 },
	costlyEvery = 1
): Answer[] {
	const answers: Answer[] = [];
	for (let w = 0; w < worlds; w++) {
		// Two by two, so that every part has its share of what is asked of every other world.
		if ((w >> 1) % part.of !== part.first) continue;
		QUESTIONS.forEach((question) => {
			if (!only.some((part) => question.name.includes(part))) return;
			if (question.costly && w % costlyEvery !== 0) return;
			const random = seededRandom((seed + w * SEED_STRIDE + numberOf(question.name)) % 2 ** 32);
			answers.push(...question.ask(drawWorld(random)));
		});
		onWorld(w + 1);
	}
	return answers;
}
