/** A stream of events as it is answered with. no-transform: what is packed to be smaller would arrive late. */
export const streamAnswer = (stream: ReadableStream<Uint8Array>): Response =>
  new Response(stream, {
    headers: { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform' },
  });
