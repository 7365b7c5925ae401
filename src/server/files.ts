/** A text as a file that the browser saves. */
export function fileResponse(name: string, type: string, text: string): Response {
  return new Response(text, {
    headers: {
      'content-type': `${type}; charset=utf-8`,
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  });
}

export function missingResponse(thing: string): Response {
  return new Response(`${thing} is not here any more.`, { status: 404 });
}
