import { act, cleanup, render, screen } from "@testing-library/react";
import { afterEach, beforeAll, expect, it, vi } from "vitest";
import type { Choice, Run } from "../../api/types";
import { goingOn } from "./goingOn";
import { onScreen, useSecondScreen } from "./secondScreen";
import { SecondScreenPage } from "./SecondScreenPage";
import { ResetExercise } from "../../ui/ResetExercise";

/** Windows of one browser, heard a moment later. */
class Channels extends EventTarget {
  static readonly all = new Set<Channels>();
  constructor() {
    super();
    Channels.all.add(this);
  }
  postMessage(data: unknown) {
    [...Channels.all]
      .filter((other) => other !== this)
      .forEach((other) => setTimeout(() => other.dispatchEvent(new MessageEvent("message", { data }))));
  }
  close() {
    Channels.all.delete(this);
  }
}

beforeAll(() => {
  HTMLDialogElement.prototype.showModal = function () {
    this.open = true;
  };
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

const run = {
  milestone: { id: "m", kind: "LINE", shortName: "9", title: "Rope and pulley" },
  players: [
    { studentId: "ana", name: "Ana Reed", standing: { state: "TRIED", tries: 3 } },
    { studentId: "bo", name: "Bo Lund" },
  ],
} as unknown as Run;

function Desk({ queue }: { queue: readonly string[] }) {
  useSecondScreen(run, queue);
  return null;
}

it("shows name and line, nobody's tries", () => {
  expect(onScreen(run, ["ana", "bo"])).toEqual({
    name: "Ana Reed",
    next: "Bo Lund",
    line: "Line 9, Rope and pulley",
  });
  expect(onScreen(run, [])).toEqual({ name: undefined, next: undefined, line: "Line 9, Rope and pulley" });
});

it("follows the run in the other window, from whenever it was opened", async () => {
  vi.stubGlobal("BroadcastChannel", Channels);
  const desk = render(<Desk queue={["ana", "bo"]} />);
  render(<SecondScreenPage />);
  expect(await screen.findByText("Ana Reed")).toBeTruthy();
  expect(screen.getByText("Line 9, Rope and pulley")).toBeTruthy();
  desk.rerender(<Desk queue={["bo"]} />);
  expect(await screen.findByText("Bo Lund")).toBeTruthy();
  desk.rerender(<Desk queue={[]} />);
  expect(await screen.findByText("That was everybody")).toBeTruthy();
  desk.unmount();
  expect(await screen.findByText("Nobody is heard at the moment")).toBeTruthy();
});

it("leads through the reset exercise and back to the same place", () => {
  vi.useFakeTimers();
  const done = vi.fn();
  render(<ResetExercise onDone={done} />);
  expect(screen.getByText(/Instruments to rest/)).toBeTruthy();
  for (const words of [/loose, without hurry/, /up to the ears/, /out slowly/]) {
    act(() => void vi.advanceTimersByTime(10_000));
    expect(screen.getByText(words)).toBeTruthy();
  }
  expect(done).not.toHaveBeenCalled();
  act(() => void vi.advanceTimersByTime(10_000));
  expect(done).toHaveBeenCalledOnce();
});

it("names the runs of others with what can be heard here", () => {
  const choices = [
    { milestoneId: "a", kind: "LINE", shortName: "9", title: "Rope" },
    { milestoneId: "b", kind: "TECHNIQUE_CHECK", shortName: "Hold", title: "Hold" },
  ] as Choice[];
  const desk = (hearerName: string, milestoneId: string) => ({
    accountId: hearerName,
    hearerName,
    studentId: "s",
    milestoneId,
  });
  expect(goingOn([desk("Ines", "a"), desk("Bram", "a"), desk("Cleo", "x")], choices)).toEqual([
    { milestoneId: "a", name: "Line 9, Rope", hearers: "Bram and Ines" },
  ]);
  expect(goingOn([], choices)).toEqual([]);
});
