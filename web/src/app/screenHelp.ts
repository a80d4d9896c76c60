/** What a screen is for: its words, and one worked example. */
export interface ScreenHelp {
  title: string;
  words: readonly [word: string, meaning: string][];
  example: string;
}

const section: [string, string] = [
  "section",
  "the students of one instrument in one class, divided where the music is",
];
const line: [string, string] = ["line", "one numbered exercise or tune of a method book"];
const check: [string, string] = ["technique check", "a short list of things to see or hear; needs no music"];
const milestone: [string, string] = ["milestone", "a line, a check or a test: a thing that can be passed"];
const order: [string, string] = ["order", "a milestone set for whole sections, with a due day"];
const carryOver: [string, string] = [
  "carry-over",
  "not passed when its week ended: it stays the student’s, next to the new ones",
];
const run: [string, string] = ["hearing run", "going through a section student by student, in fair order"];
const belt: [string, string] = ["belt", "a named level; its slots are filled by milestones"];

const screens: readonly [RegExp, ScreenHelp][] = [
  [
    /^\/podium\/warm-up/,
    {
      title: "Warm-up",
      words: [["part", "a few minutes of one thing: breathing, slurs, a scale"], section],
      example:
        "Monday begins with eight minutes. Set the slider to 6 when the bell was late: the parts shrink together, the least valuable is dropped, and it says which.",
    },
  ],
  [
    /^\/podium\/plan/,
    {
      title: "Plan of a period",
      words: [run, carryOver],
      example:
        "You are away on Thursday. Open Thursday on the ribbon, print the plan of each class, leave it on the stand. What the substitute teacher hears is marked as theirs.",
    },
  ],
  [
    /^\/podium/,
    {
      title: "Podium",
      words: [order, run, carryOver],
      example:
        "Period 2 begins. Under Hear stands “Line 9, 4 of 42 to hear, 2 min”: press it, hear the four with Enter and Space, and you are back before the warm-up ends.",
    },
  ],
  [
    /^\/season\/first-weeks/,
    {
      title: "First weeks",
      words: [check, order, ["left for later", "what these weeks have no minutes for"]],
      example:
        "Choose Beginning Winds and six weeks. The second week is too full: focus “by instrument” under Hold and press ↓. Then Order these weeks.",
    },
  ],
  [
    /^\/season\/sheet/,
    {
      title: "Order sheet",
      words: [order, line, section],
      example:
        "Print the sheet of the week on Friday for Monday: each section has its key, its new note with fingering, and what is heard.",
    },
  ],
  [
    /^\/season\/proposal/,
    {
      title: "A proposal",
      words: [
        ["balanced", "the year as even and as complete as it can be"],
        ["least change", "as few things moved as possible"],
        ["point", "one minute above the even share of a week; every price is counted in them"],
      ],
      example:
        "Tuesday was lost. The proposal moves line 24 a week later and says why. Press 1 to take that alone, or Enter to take all of it.",
    },
  ],
  [
    /^\/season\/choose/,
    {
      title: "What the year holds",
      words: [line, check, belt],
      example:
        "Choose the book, pages 4 to 20, leave tests and belts ticked, put into the plan. Back on the season press P: each gets its week, and you see why before you take it.",
    },
  ],
  [
    /^\/season\/week/,
    {
      title: "Order a week",
      words: [order, section],
      example:
        "Friday afternoon: the plan has lines 23 and 24 for next week. Horns are not ready: press Horn in the row of line 24, then Order this week. For them it stays in the plan, a week later.",
    },
  ],
  [
    /^\/season\/forecast/,
    {
      title: "Forecast",
      words: [
        ["range", "eight times in ten it is done between these days"],
        ["by then", "the chance to be done on the day of the target"],
        section,
      ],
      example:
        "Set line 32 by the winter concert. Horns: 4 in 10, at 2.1 lines a week; 2.6 are needed. Set them to 125 % under Pacing and prices, and propose again.",
    },
  ],
  [
    /^\/season\/files/,
    {
      title: "Plans in and out",
      words: [["teaching week", "a week with school, counted from the first of the year"], order],
      example:
        "In August press Lay last year’s onto this one: line 12 stood in the ninth teaching week, so it does again. Then P evens out what the new calendar changed.",
    },
  ],
  [
    /^\/season\/settings/,
    {
      title: "Pacing and prices",
      words: [
        carryOver,
        ["reserve", "minutes of each week kept back for catching up"],
        ["point", "one minute above the even share of a week"],
      ],
      example:
        "Trombones need half as long again: set them to 150 %, go back and propose. Their weeks get lighter, nobody else's order changes.",
    },
  ],
  [
    /^\/season/,
    {
      title: "Season",
      words: [
        milestone,
        section,
        ["planned", "it has a week; nobody is set it before you order that week"],
        order,
      ],
      example:
        "Choose line 24 on the score, press → twice: greyed weeks say why it may not stand there. Enter puts it down, U takes it back.",
    },
  ],
  [
    /^\/library\/books\/[^/]+\/table/,
    {
      title: "A book by its facts",
      words: [line, ["range", "“1–40” on pages “4–13”: forty lines in one row"]],
      example:
        "Open the printed book at page 4. Type 4, Tab, 1, Tab, its title, Tab, Bb, Tab, 4/4, Tab, 8, Enter. The next row counts on by itself: type only what differs.",
    },
  ],
  [
    /^\/library\/checks/,
    {
      title: "A technique check",
      words: [
        check,
        ["criterion", "one thing that can be seen or heard"],
        ["cue word", "your own word for a step"],
      ],
      example:
        "Trumpets reach for the valve with flat fingers. Copy the check, put “round as a bridge” as cue word of step 2, keep it: the next run shows your word.",
    },
  ],
  [
    /^\/library\/lines/,
    {
      title: "A line",
      words: [
        ["trap", "a place where the page misleads, as an accidental that still holds"],
        ["roadmap", "the order in which the measures are really played"],
        ["practice ladder", "from slow pieces to the whole line at tempo"],
      ],
      example:
        "Choose Horn at the left: the line stands in their key, with one trap in measure 6. Set the ladder to five minutes; it says what it dropped.",
    },
  ],
  [
    /^\/library/,
    {
      title: "Library",
      words: [line, check, belt],
      example:
        "Open Lines, press Lines as a table at your book, paste the columns of your spreadsheet into the first cell, look at the last column, keep.",
    },
  ],
  [
    /^\/hear\/[^/]+\/results/,
    {
      title: "Results",
      words: [
        ["floor", "fewest points of a criterion that may pass, whatever the total"],
        ["weakest", "the criterion with the smallest share of its points"],
        ["beyond chance", "how far two listeners agree more than by chance: 1 is fully, 0 no more"],
      ],
      example:
        "The trumpets' rhythm has half of its points, and so has the horns': order what trains it to the brass, and look at measure 2 with them.",
    },
  ],
  [
    /^\/hear\/[^/]+\/day/,
    {
      title: "Test days",
      words: [
        ["make-up", "who is absent, excused or rests, and who finds no room, gets a slot of their own"],
        ["in pairs", "neighbours in the fair order who play the same instrument"],
        ["cannot end earlier", "every way was tried, or the minutes alone forbid it"],
      ],
      example:
        "Test 2 is on Friday and Tuesday, twenty minutes each. When Friday runs late the rest moves by itself: it is told anew with every mark. Print the call list for the stand.",
    },
  ],
  [
    /^\/hear\/./,
    {
      title: "Hearing run",
      words: [
        run,
        ["not yet", "heard, and not passed yet; try again"],
        ["excused", "with a reason; passes nothing, blocks nothing if you say so"],
      ],
      example:
        "Ilse plays: Enter, passed. Kofi misses the F sharp: Space, not yet. You meant Enter: U, then Enter. Whoever is away: A.",
    },
  ],
  [
    /^\/hear/,
    {
      title: "Hear",
      words: [run, milestone],
      example:
        "Choose Clarinet at the left; the most pressing stands first, with how long it takes. Press it and begin.",
    },
  ],
  [
    /^\/roster\/switch/,
    {
      title: "Switch instrument",
      words: [
        ["instrument-free", "counts on every instrument: reading rhythms, posture of the body, theory"],
        ["catch-up track", "what the new section was set before, quicker where the hand knows the notes"],
        ["borrowed", "for some days; afterwards everybody sits where they sat"],
      ],
      example:
        "After the break three clarinets move to bass clarinet: add the three, choose the instrument, 25 January, Switch 3 students. The track stands in the orders of those who came.",
    },
  ],
  [
    /^\/roster\/seating/,
    {
      title: "Seating",
      words: [
        ["chair", "a place in the section, counted from the front"],
        ["stand", "two neighbours"],
      ],
      example:
        "Focus Sunniva and press ↑ twice: chair 1. She and the second chair share a stand, and the next partner check pairs them.",
    },
  ],
  [
    /^\/roster\/students\/./,
    {
      title: "Folder",
      words: [milestone, carryOver, belt],
      example:
        "Mei changes to horn in January: Switch instrument, Horn, 4 January. Before anything is done you see what comes along, what opens anew and which notes keep their fingers.",
    },
  ],
  [
    /^\/roster\/fit/,
    {
      title: "Fit",
      words: [
        ["fit", "how an instrument is set to a body: endpin, strap, size"],
        ["review", "the day it is looked at again"],
      ],
      example:
        "Cello, knee 46 cm: the endpin is computed and drawn. Keep it for Ola; in six weeks the podium asks again.",
    },
  ],
  [
    /^\/roster/,
    {
      title: "Board",
      words: [milestone, belt, ["ring, half, full", "set and not heard, tried and not yet, passed"]],
      example:
        "The column of line 9 is half empty rings in the trumpets: press its head to hear them with it.",
    },
  ],
  [
    /^\/office/,
    {
      title: "Office",
      words: [
        ["letters", "A- and B-days, going round over school days"],
        ["period", "a time of the day; classes take their times from it"],
        ["school of thought", "a question on which good teachers differ"],
      ],
      example:
        "The district moves a break: School year, choose the week with the arrow keys, B, keep the year. Ribbon, due days and hearing times follow at once.",
    },
  ],
];

/** The help of a screen; of the podium where a path has none. */
export function screenHelp(path: string): ScreenHelp {
  return (screens.find(([pattern]) => pattern.test(path)) ?? screens[2]!)[1];
}
