import { useQuery } from "@tanstack/react-query";
import type { Player } from "../../api/types";
import { checkQuery } from "../library/checks.queries";
import { Measure } from "./Measure";

interface Props {
  milestoneId: string;
  player: Player;
  /** Tries of this student so far. */
  tries: number;
}

/** What a check says beside its criteria while it is heard: an amount to keep, and the stage to fall back to. */
export function Guidance({ milestoneId, player, tries }: Props) {
  const described = useQuery(checkQuery(milestoneId));
  const check = described.data?.check;
  if (!check) return null;
  return (
    <>
      {check.measured && (
        <Measure key={player.studentId} milestoneId={milestoneId} measured={check.measured} player={player} />
      )}
      {check.backTo && tries > 0 && (
        <p className="small mb-2">
          <span className="soft">If it fails again, back a stage first: </span>
          {check.backTo}
        </p>
      )}
    </>
  );
}
