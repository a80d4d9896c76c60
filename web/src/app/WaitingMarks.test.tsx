import { useQuery } from "@tanstack/react-query";
import { cleanup, screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { at } from "../api/at";
import { outbox } from "../features/hear/outbox";
import { draw, Refusal, server } from "../test/render";
import { WaitingMarks } from "./WaitingMarks";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** A page that came after the run was left. */
function Board({ read }: { read: () => number }) {
  const board = useQuery({ queryKey: ["progress", "board"], queryFn: () => Promise.resolve(read()) });
  return <p>read {board.data ?? 0} times</p>;
}

it("has the page that is open read again what was recorded, although the run was left", async () => {
  server({ "POST /api/pain-reports": undefined });
  let times = 0;
  draw(
    <>
      <WaitingMarks />
      <Board read={() => ++times} />
    </>,
  );
  expect(await screen.findByText("read 1 times")).toBeTruthy();
  outbox.add({ id: "a", label: "a note", kind: "note", path: at("/api/pain-reports"), body: {} });
  expect(await screen.findByText("read 2 times")).toBeTruthy();
  expect(screen.queryByText(/to send/)).toBeNull();
});

it("shows what was refused and why, and lets it go", async () => {
  server({ "POST /api/pain-reports": new Refusal(422, "Say where it hurts.") });
  draw(<WaitingMarks />);
  outbox.add({ id: "b", label: "a note", kind: "note", path: at("/api/pain-reports"), body: {} });
  expect(await screen.findByText("1 refused")).toBeTruthy();
  expect(screen.getByText(/Say where it hurts/)).toBeTruthy();
  outbox.drop("b");
  await vi.waitFor(() => expect(screen.queryByText("1 refused")).toBeNull());
});
