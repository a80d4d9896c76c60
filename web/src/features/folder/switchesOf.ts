import type { Folder } from "../../api/types";

type Seat = Folder["seats"][number];

/** A change of instrument in one class: the seat before and the one after it. */
export interface SwitchOf {
  before: Seat;
  after: Seat;
}

/** The lasting changes of instrument, the latest first; borrowed ones, and those who came back from them, are none. */
export function switchesOf(seats: readonly Seat[]): SwitchOf[] {
  const switches: SwitchOf[] = [];
  for (const classId of new Set(seats.map((seat) => seat.classId))) {
    const own = seats
      .filter((seat) => seat.classId === classId)
      .sort((one, other) => one.startsOn.localeCompare(other.startsOn));
    const last = own.at(-1);
    const before = own.findLast((seat) => seat.instrument !== last?.instrument);
    const cameBack =
      own.findIndex((seat) => seat.instrument === last?.instrument) < own.indexOf(before ?? own[0]!);
    if (last && before && !cameBack) switches.push({ before, after: last });
  }
  return switches.sort((one, other) => other.after.startsOn.localeCompare(one.after.startsOn));
}
