/** What of a file or of what was typed is not kept, so that nobody thinks the page never had it. */
export function LeftOut({ what }: { what: readonly string[] }) {
  if (what.length === 0) return null;
  return (
    <p className="soft small">
      <b>Not kept:</b> {what.join("; ")}.
    </p>
  );
}
