import { Link } from 'react-router';

interface MessageProps {
  readonly title: string;
  readonly detail?: string;
  readonly back?: boolean;
  /** For what will be over in a moment. */
  readonly quiet?: boolean;
}

/** A page that has one thing to say. */
export function Message({ title, detail, back = false, quiet = false }: MessageProps) {
  return (
    <main className="mx-auto max-w-md px-6 py-24" aria-busy={quiet}>
      <h1 className={quiet ? 'text-quiet' : 'text-lg font-semibold'}>{title}</h1>
      {detail !== undefined && <p className="mt-2 text-quiet">{detail}</p>}
      {back && (
        <p className="mt-4">
          <Link className="act" to="/">
            All systems
          </Link>
        </p>
      )}
    </main>
  );
}
