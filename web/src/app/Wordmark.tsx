export function Wordmark() {
  return (
    <span className="display flex items-center gap-2 whitespace-nowrap">
      <svg width="1.35em" height="1.15em" viewBox="0 0 26 22" aria-hidden="true">
        <path d="M2 5h22M2 11h22M2 17h22" stroke="#E08A00" strokeWidth="2.2" fill="none" />
        <ellipse cx="8" cy="11" rx="4.2" ry="3.1" transform="rotate(-22 8 11)" fill="currentColor" />
        <ellipse cx="17" cy="5" rx="4.2" ry="3.1" transform="rotate(-22 17 5)" fill="currentColor" />
      </svg>
      Vivid Roster
    </span>
  );
}
