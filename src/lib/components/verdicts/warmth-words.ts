/** What a person is told of a verdict by its warmth; nothing of a calm one. */
export const WARMTH_WORDS = { stop: 'Stop', look: 'Check', open: 'To do', calm: '' } as const;
