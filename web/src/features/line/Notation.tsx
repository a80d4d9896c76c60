import { useEffect, useState, type ComponentType } from "react";
import type { StaffProps } from "./Staff";
import { looks } from "../../ui/looks";

/** The renderer comes with the pages that show notation, while the notes are still on their way. */
let drawer: ComponentType<StaffProps> | undefined;
const coming = import("./Staff").then((module) => (drawer = module.default));

/** A line drawn, as soon as the renderer is here. */
export function Notation(props: StaffProps) {
  const [Staff, setStaff] = useState<ComponentType<StaffProps> | undefined>(() => drawer);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    if (Staff) return;
    coming.then(
      (loaded) => setStaff(() => loaded),
      () => setFailed(true),
    );
  }, [Staff]);
  if (failed) return <p role="alert">The notation cannot be drawn: load the page again.</p>;
  if (!Staff)
    return (
      <div
        role="status"
        className={`${looks.skeleton} bg-base-200 h-40 rounded-md`}
        aria-label="Loading the notation"
      />
    );
  return <Staff {...props} />;
}
