/** A text as a file that the browser saves. */
export function fileResponse(
  name: string,
  type: string,
  body: string | ReadableStream<Uint8Array>,
): Response {
  return new Response(body, {
    headers: {
      'content-type': `${type}; charset=utf-8`,
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  });
}

/** Texts as they are made, one after the other; each is asked for when the one before has been taken. */
export function streamed(pieces: AsyncGenerator<string>): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  return new ReadableStream({
    async pull(controller) {
      const { value, done } = await pieces.next();
      if (done) controller.close();
      else controller.enqueue(encoder.encode(value));
    },
    async cancel() {
      await pieces.return(undefined);
    },
  });
}

export function missingResponse(thing: string): Response {
  return new Response(`${thing} is not here any more.`, { status: 404 });
}
