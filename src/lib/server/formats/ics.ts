import ical from 'ical-generator';

/** Something of a calendar: whole days unless it is `timed`. */
export interface CalendarEntry {
	/** The same thing keeps its name from one writing to the next. */
	uid: string;
	title: string;
	text: string | null;
	startMs: number;
	endMs: number;
	timed?: boolean;
}

/** Entries as an iCalendar file (RFC 5545). The one writer for the whole application. */
export function icsFile(name: string, entries: readonly CalendarEntry[]): string {
	const calendar = ical({ name, prodId: { company: 'Kind Ember', product: 'calendar' } });
	for (const { uid, title, text, startMs, endMs, timed = false } of entries)
		calendar.createEvent({
			id: uid,
			summary: title,
			description: text,
			start: new Date(startMs),
			end: new Date(endMs),
			allDay: !timed
		});
	return calendar.toString();
}
