type Keys = [keys: string[], what: string][];

const everywhere: Keys = [
  [["/"], "jump to a student, line, section or place"],
  [["[", "]"], "section before, section after"],
  [["T"], "tutti"],
  [["<", ">"], "week before, week after"],
  [["?"], "this help"],
];

const hearing: Keys = [
  [["Enter"], "passed; for a check or test: record what is marked"],
  [["Space"], "not yet"],
  [["A"], "absent"],
  [["X"], "excused, then choose why"],
  [["1", "–", "9"], "check: mark a criterion not seen; test: points for the next criterion"],
  [["1", "–", "9"], "a line: what went wrong, kept with the outcome pressed next; tap the measure for where"],
  [["F"], "check or test: the digits are for faults, and back"],
  [["B"], "tap along with the beat: the tempo it is played at"],
  [["N"], "a note beside this try"],
  [["P"], "pain: keep a report"],
  [["U"], "undo the last mark"],
  [["↑", "↓"], "student before, student after"],
  [["S"], "whole section at once, and back"],
  [["G"], "two, three, four heard together, and back; digits change who has not passed"],
  [["L"], "the list of who is away"],
  [["W"], "a second screen for the projector: the name and the line"],
  [["R"], "reset: let go, shake out, lift; then back to the same place"],
];

const grid: Keys = [
  [["1", "–", "9"], "whole section at once: mark the fault of the student outlined"],
  [["←", "→"], "criterion before, criterion after"],
];

const podium: Keys = [
  [["1"], "the list of who is away in the class that is open"],
  [["R"], "reset: let go, shake out, lift"],
  [["Enter"], "on a part of the period: this goes on now, the rest follows"],
  [["←", "→"], "on a part of the period: a minute shorter, a minute longer"],
];

const season: Keys = [
  [["P"], "propose a plan"],
  [["←", "→"], "on what is chosen: a week earlier, a week later"],
  [["Enter"], "put it there; with nothing chosen, the move that helps"],
  [["Esc"], "leave it where it is; choose nothing"],
  [["U", "R"], "undo, do it again"],
  [["L"], "lose a day"],
  [["O"], "order milestones"],
];

const proposal: Keys = [
  [["Enter"], "take all of it"],
  [["1", "–", "9"], "take one change"],
  [["Esc"], "back to the season, the proposal waits"],
];

const firstWeeks: Keys = [
  [["↑", "↓"], "on a thing: a week earlier, a week later"],
  [["Delete"], "on a thing: leave it out"],
];

const table: Keys = [
  [["Tab"], "next cell"],
  [["Enter"], "next line"],
  [["↑", "↓"], "line before, line after"],
];

const seating: Keys = [[["↑", "↓"], "on a name: a chair forward, a chair back"]];

const played: Keys = [[["P"], "play, and stop"]];

const line: Keys = [
  [["R"], "reset: let go, shake out, lift"],
  [["V"], "notes, with names, fingerings, syllables or bowing, fingers alone"],
  ...played,
];

/** The keys a screen listens to. */
export function keysOf(path: string): Keys {
  if (/^\/hear\/(?!partners)[^/]+$/.test(path)) return [...hearing, ...grid, ...everywhere];
  if (/^\/library\/lines\/[^/]+$/.test(path)) return [...line, ...everywhere];
  if (path === "/podium") return [...podium, ...everywhere];
  if (path === "/podium/warm-up") return [...played, ...everywhere];
  if (path === "/season/proposal") return [...proposal, ...everywhere];
  if (path === "/season/sheet") return [[["B"], "the week on the board"], ...everywhere];
  if (path === "/season/first-weeks") return [...firstWeeks, ...everywhere];
  if (/^\/library\/books\/[^/]+\/table$/.test(path)) return [...table, ...everywhere];
  if (path === "/roster/seating") return [...seating, ...everywhere];
  if (path === "/season") return [...season, ...everywhere];
  return everywhere;
}
