/** Sends one event; `id` lets the browser say what it had last. */
export type SendEvent = (name: string, data: unknown, id?: number) => void;

/** A line that is quiet for longer is taken for dead by what lies between. */
const KEEP_ALIVE_MS = 15_000;

const open = new Set<() => void>();

/** Ends every stream: the application is going, and a page that follows will ask again. */
export const endStreams = (): void => open.forEach((end) => end());

/** A response of server-sent events. @param begin starts sending; what it returns is called when nobody listens any more */
export function eventStream(begin: (send: SendEvent) => () => void): Response {
	const encoder = new TextEncoder();
	let end = () => undefined as void;
	const body = new ReadableStream<Uint8Array>({
		start(controller) {
			const write = (text: string) => {
				try {
					controller.enqueue(encoder.encode(text));
				} catch {
					end();
				}
			};
			const stop = begin((name, data, id) =>
				write(`event: ${name}\n${id === undefined ? '' : `id: ${id}\n`}data: ${JSON.stringify(data)}\n\n`)
			);
			const timer = setInterval(() => write(': still here\n\n'), KEEP_ALIVE_MS);
			end = () => {
				open.delete(close);
				clearInterval(timer);
				stop();
			};
			const close = () => {
				end();
				controller.close();
			};
			open.add(close);
		},
		cancel: () => end()
	});
	return new Response(body, {
		headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' }
	});
}
