import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server } from "../../test/render";
import { YearPart } from "./YearPart";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const years = [
  {
    id: "y1",
    name: "2026–2027",
    firstDay: "2026-08-24",
    lastDay: "2027-06-11",
    rotation: ["A", "B"],
    bells: [],
    entries: [{ kind: "BREAK", name: "Winter break", firstDay: "2026-12-21", lastDay: "2027-01-01" }],
  },
];
const me = {
  displayName: "Odalys Quayle",
  role: "DIRECTOR",
  program: "Tern",
  today: "2026-10-07",
  demo: false,
};

const weeks = () => within(screen.getByRole("group", { name: "Weeks of the year" })).getAllByRole("button");

describe("the school year", () => {
  it("takes a break over weeks chosen with the keyboard, and keeps the whole year", async () => {
    const sent = server({ "GET /api/years": years, "GET /api/session": me, "PUT /api/years/y1": undefined });
    draw(<YearPart />);
    await screen.findByLabelText("Name of the year");
    fireEvent.keyDown(weeks()[0]!, { key: "ArrowRight" });
    fireEvent.keyDown(weeks()[1]!, { key: "ArrowRight", shiftKey: true });
    expect(
      weeks()
        .map((week) => week.getAttribute("aria-pressed"))
        .slice(0, 4),
    ).toEqual(["false", "true", "true", "false"]);
    fireEvent.keyDown(weeks()[2]!, { key: "b" });
    fireEvent.change(screen.getByLabelText("Name of Break"), { target: { value: "Autumn break" } });
    fireEvent.click(screen.getByText("Keep the year"));
    expect(await screen.findByText("2026–2027 is kept")).toBeTruthy();
    expect(sent.find((one) => one.method === "PUT")?.body).toEqual({
      name: "2026–2027",
      firstDay: "2026-08-24",
      lastDay: "2027-06-11",
      rotation: ["A", "B"],
      entries: [
        { kind: "BREAK", name: "Autumn break", firstDay: "2026-08-31", lastDay: "2026-09-11" },
        years[0]!.entries[0],
      ],
      bells: [],
    });
  });

  it("says at the row and at the field what stands in the way, and loses nothing typed", async () => {
    const refusals = [
      new Refusal(422, '"Winter break" lies outside the year.', "entries[0]"),
      new Refusal(422, "Clarinet Class meets on B-days; say first when it meets.", "rotation"),
    ];
    server({ "GET /api/years": years, "GET /api/session": me, "PUT /api/years/y1": () => refusals.shift() });
    draw(<YearPart />);
    fireEvent.change(await screen.findByLabelText("Last day of school"), { target: { value: "2026-12-18" } });
    fireEvent.click(screen.getByText("Keep the year"));
    expect((await screen.findByRole("alert")).textContent).toBe('"Winter break" lies outside the year.');
    expect(screen.getByLabelText("Name of Winter break").getAttribute("aria-invalid")).toBe("true");
    fireEvent.change(screen.getByLabelText("Letters of the days in turn"), { target: { value: "A C" } });
    fireEvent.click(screen.getByText("Keep the year"));
    expect(await screen.findByText("Clarinet Class meets on B-days; say first when it meets.")).toBeTruthy();
    expect((screen.getByLabelText("Last day of school") as HTMLInputElement).value).toBe("2026-12-18");
  });

  it("begins the year after beside the present one", async () => {
    const sent = server({ "GET /api/years": years, "GET /api/session": me, "PUT /api/years/": undefined });
    draw(<YearPart />);
    fireEvent.click(await screen.findByText("Begin the year after"));
    expect((screen.getByLabelText("First day of school") as HTMLInputElement).value).toBe("2027-08-23");
    expect(screen.getByText(/No breaks yet/)).toBeTruthy();
    fireEvent.click(screen.getByText("Keep the year"));
    expect(await screen.findByText("2027–2028 is kept")).toBeTruthy();
    const put = sent.find((one) => one.method === "PUT");
    expect(put?.path).not.toContain("y1");
    expect(put?.body).toMatchObject({ name: "2027–2028", entries: [] });
  });
});
