import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { expect, it } from "vitest";
import type { PodiumClass } from "../../api/types";
import { outbox } from "../hear/outbox";
import { draw, server } from "../../test/render";
import { HabitWatchList } from "./HabitWatchList";

const watch: PodiumClass["watch"] = [
  {
    studentId: "ana",
    name: "Ana Reed",
    instrumentName: "Flute",
    milestoneId: "m",
    title: "Sit tall",
    see: ["Feet flat", "Ribs free"],
    slipping: true,
  },
];

it("keeps what is seen by one tap, and takes it back by the same", async () => {
  const sent = server({ "POST /api/habits/looks": undefined });
  await outbox.open({ programId: "tern", accountId: "odalys", name: "Odalys Quayle" });
  draw(<HabitWatchList watch={watch} classId="c1" on="2026-10-07" search="" />);
  expect(screen.getByText(", was slipping: feet flat · ribs free")).toBeTruthy();
  const seen = within(screen.getByRole("group", { name: "What is seen of Ana Reed" }));
  fireEvent.click(seen.getByRole("button", { name: "lost" }));
  expect(seen.getByRole("button", { name: "lost" }).getAttribute("aria-pressed")).toBe("true");
  fireEvent.click(seen.getByRole("button", { name: "lost" }));
  expect(seen.getByRole("button", { name: "lost" }).getAttribute("aria-pressed")).toBe("false");
  await waitFor(() =>
    expect(
      sent
        .filter((one) => one.path === "/api/habits/looks")
        .map((one) => (one.body as { finding: string }).finding),
    ).toEqual(["LOST", "TAKEN_BACK"]),
  );
});
