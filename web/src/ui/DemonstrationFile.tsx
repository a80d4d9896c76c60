import { at } from "../api/at";
import { FileText } from "lucide-react";
import type { Demonstration } from "../api/types";

/** A sound, picture, clip or hand-out, played or shown where it stands. */
export function DemonstrationFile({ one }: { one: Demonstration }) {
  const address = at("/api/demonstrations/{demonstrationId}", { demonstrationId: one.id });
  if (one.mediaType.startsWith("audio/"))
    return (
      <figure className="flex flex-wrap items-center gap-3">
        <audio controls preload="none" src={address} aria-label={one.name} className="h-9 w-64" />
        <figcaption>{one.name}</figcaption>
      </figure>
    );
  if (one.mediaType.startsWith("video/"))
    return (
      <video controls preload="none" src={address} aria-label={one.name} className="max-h-64 rounded-lg" />
    );
  if (one.mediaType.startsWith("image/"))
    return <img src={address} alt={one.name} loading="lazy" className="max-h-64 rounded-lg" />;
  return (
    <a href={address} download={one.name} className="flex items-center gap-2">
      <FileText size={18} aria-hidden /> {one.name}
    </a>
  );
}
