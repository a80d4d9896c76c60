import { MinutesSlider } from "../../ui/parts";
import { groupSizes, habitNames, themeNames, type Habit, type Theme } from "./line.queries";
import { looks } from "../../ui/looks";

interface Props {
  minutes: number;
  onMinutes: (minutes: number) => void;
  wish: { habit?: Habit; theme?: Theme; groupSize?: number };
  onHabit: (habit: Habit) => void;
  onTheme: (theme: Theme | undefined) => void;
  onGroupSize: (size: number) => void;
}

/** How the ladder is wanted: the minutes there are, the habit, by its spots or by a theme, how large a bite. */
export function LadderWishes({ minutes, onMinutes, wish, onHabit, onTheme, onGroupSize }: Props) {
  return (
    <div className="mb-2 flex flex-wrap items-center gap-x-5 gap-y-2">
      <MinutesSlider minutes={minutes} most={25} onMinutes={onMinutes} />
      <select
        aria-label="Rehearsal habit"
        className={`${looks.smallSelect} w-52 text-[0.95rem]`}
        value={wish.habit ?? "SPOTS_FIRST"}
        onChange={(event) => onHabit(event.target.value as Habit)}
      >
        {Object.entries(habitNames).map(([name, words]) => (
          <option key={name} value={name}>
            {words}
          </option>
        ))}
      </select>
      <select
        aria-label="Theme"
        className={`${looks.smallSelect} w-52 text-[0.95rem]`}
        value={wish.theme ?? ""}
        onChange={(event) => onTheme((event.target.value || undefined) as Theme | undefined)}
      >
        <option value="">By its hard spots</option>
        {Object.entries(themeNames).map(([name, words]) => (
          <option key={name} value={name}>
            {words}
          </option>
        ))}
      </select>
      {!wish.theme && (
        <label className="flex items-center gap-2 text-[0.95rem]">
          <span className="soft">groups of</span>
          <select
            aria-label="Notes in a group"
            className={`${looks.smallSelect} w-16`}
            value={wish.groupSize ?? 4}
            onChange={(event) => onGroupSize(Number(event.target.value))}
          >
            {groupSizes.map((size) => (
              <option key={size} value={size}>
                {size}
              </option>
            ))}
          </select>
        </label>
      )}
    </div>
  );
}
