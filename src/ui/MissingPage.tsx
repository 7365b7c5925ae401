import Link from 'next/link';

/** For a bookmark to something that is gone: what is gone, and a way on. */
export function MissingPage({ thing, href, place }: { thing: string; href: string; place: string }) {
  return (
    <div className="page">
      <h1>{thing} is not here any more.</h1>
      <p>
        It may have been made on another machine, or its number was mistyped.{' '}
        <Link href={href}>Go to {place}.</Link>
      </p>
    </div>
  );
}
