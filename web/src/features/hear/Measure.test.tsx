import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import type { Player } from "../../api/types";
import { draw, server } from "../../test/render";
import { Guidance } from "./Guidance";
import { outbox } from "./outbox";

const player = { studentId: "ana", name: "Ana Reed", classId: "c1" } as Player;
const check = {
  title: "Longest tone",
  backTo: "Breathe low",
  measured: { name: "Longest steady tone", unit: "s", aim: 8 },
};

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});

it("keeps an amount with the try, says the best so far, and where one falls back to", async () => {
  server({
    "GET /api/checks/m1": { milestoneId: "m1", before: [], check },
    "GET /api/checks/m1/measurements": [{ studentId: "ana", best: 6.5, latest: 5 }],
  });
  const add = vi.spyOn(outbox, "add").mockImplementation(() => undefined);
  draw(<Guidance milestoneId="m1" player={player} tries={1} />, "/hear/m1?class=c1");
  expect(await screen.findByText("best so far 6.5 s")).toBeTruthy();
  expect(screen.getByText("Breathe low")).toBeTruthy();
  const field = screen.getByLabelText("Longest steady tone in s");
  fireEvent.change(field, { target: { value: "0" } });
  expect((screen.getByRole("button", { name: "Keep" }) as HTMLButtonElement).disabled).toBe(true);
  fireEvent.change(field, { target: { value: "7,5" } });
  fireEvent.click(screen.getByRole("button", { name: "Keep" }));
  expect(add).toHaveBeenCalledWith(
    expect.objectContaining({
      path: "/api/checks/m1/measurements",
      body: expect.objectContaining({ studentId: "ana", value: 7.5 }) as unknown,
    }),
  );
  expect(screen.getByText("best so far 7.5 s")).toBeTruthy();
});
