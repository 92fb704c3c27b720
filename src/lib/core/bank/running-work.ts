/** Something that goes on by itself and will need a person. */
export interface RunningWork {
	what: string;
	figures: string;
	/** When it should need a person, ISO, as a range; null when that cannot be told. */
	needsYouFrom: string | null;
	needsYouUntil: string | null;
	/** Share of the expected charge delivered, 0..1; null when unknown. */
	fraction: number | null;
	/** Now by the clock the times above are told in (a rehearsal has its own), ISO. */
	nowIso: string;
	/** Page that shows it; null for the stage it belongs to. */
	href: string | null;
	/** Of simulated cells: by the clock of their bench, where nobody sleeps. */
	rehearsal: boolean;
	/** It waits for a person already. */
	waiting: boolean;
	/** It goes on until somebody stops it. */
	endless: boolean;
}
