import { describe, expect, it } from 'vitest';
import { endStreams, eventStream, type SendEvent } from './event-stream';

/** Reads what a response sends until so much has come. */
async function heard(response: Response, until: string): Promise<string> {
	const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
	let text = '';
	while (!text.includes(until)) {
		const { done, value } = await reader.read();
		if (done) break;
		text += value;
	}
	await reader.cancel();
	return text;
}

describe('a stream of events', () => {
	it('sends name, id and data as the browser wants them', async () => {
		const response = eventStream((send) => {
			send('view', { a: 1 });
			send('samples', [2], 77);
			return () => undefined;
		});
		expect(response.headers.get('content-type')).toBe('text/event-stream');
		expect(response.headers.get('cache-control')).toBe('no-store');
		expect(await heard(response, '[2]\n\n')).toBe(
			'event: view\ndata: {"a":1}\n\nevent: samples\nid: 77\ndata: [2]\n\n'
		);
	});
	it('lets go when nobody listens any more, and what is sent after does no harm', async () => {
		let stopped = 0;
		let later: SendEvent = () => undefined;
		const response = eventStream((send) => {
			later = send;
			send('first', 1);
			return () => void stopped++;
		});
		await heard(response, 'first');
		expect(stopped).toBe(1);
		later('second', 2);
	});
	it('ends with the application', async () => {
		let stopped = 0;
		const response = eventStream((send) => {
			send('first', 1);
			return () => void stopped++;
		});
		endStreams();
		expect(await response.text()).toContain('first');
		expect(stopped).toBe(1);
	});
});
