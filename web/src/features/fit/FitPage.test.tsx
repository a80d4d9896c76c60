import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server, type Sent } from "../../test/render";
import { FitPage } from "./FitPage";
import { FitPicture } from "./FitPicture";
import { fitKinds } from "./fit";

const students = [
  {
    id: "ravi",
    name: "Ravi Jardine-Bey",
    sortName: "Jardine-Bey, Ravi",
    seats: [{ classId: "c1", instrument: "cello" }],
  },
  { id: "gus", name: "Gus Pike", sortName: "Pike, Gus", seats: [{ classId: "c2", instrument: "tuba" }] },
];

const computed = {
  result: "24 cm",
  centimetres: 24,
  confirmBy: [
    { test: "STANDS_UP_AT_ONCE", sentence: "Can stand up at once without lurching" },
    { test: "LOW_PEG_NEAR_EAR", sentence: "The low-string peg is near the left ear, not touching" },
  ],
  reviewOn: "2026-12-30",
};

const kept = [
  {
    id: "f",
    kind: "CHAIR",
    title: "Chair height",
    result: "36.5 cm",
    confirmed: ["Both feet flat on the floor"],
    note: "",
    measuredOn: "2026-08-18",
    reviewOn: "2026-09-18",
    overdue: true,
  },
];

function at(answers: Record<string, unknown> = {}): Sent[] {
  return server({
    "GET /api/students/ravi/fits": kept,
    "GET /api/students": students,
    "POST /api/fits/compute": computed,
    "POST /api/students/ravi/fits": undefined,
    ...answers,
  });
}

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const type = (label: RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe("measuring a fit", () => {
  it("begins with what the section plays, for those who sit in it", async () => {
    at();
    draw(<FitPage />, "/roster/fit?class=c1&instrument=cello");
    expect(screen.getByRole("radio", { name: "Cello endpin" }).getAttribute("aria-checked")).toBe("true");
    expect(await screen.findByRole("option", { name: "Ravi Jardine-Bey" })).toBeTruthy();
    expect(screen.queryByRole("option", { name: "Gus Pike" })).toBeNull();
  });

  it("computes when everything is measured, and keeps what the body confirmed", async () => {
    const sent = at();
    draw(<FitPage />, "/roster/fit?class=c1&instrument=cello&student=ravi");
    type(/^Hand width/, "7,0");
    type(/^Seat height/, "43");
    expect(screen.getByText("Measure, and the starting value stands here.")).toBeTruthy();
    expect(sent.some((s) => s.path === "/api/fits/compute")).toBe(false);
    type(/^Knee height/, "40");
    expect((await screen.findAllByText("24 cm")).length).toBeGreaterThan(0);
    expect(sent.find((s) => s.path === "/api/fits/compute")?.body).toEqual({
      kind: "CELLO_ENDPIN",
      measures: { handCm: 7, seatCm: 43, kneeCm: 40 },
    });
    fireEvent.click(screen.getByLabelText("Can stand up at once without lurching"));
    type(/^Set to/, "23 cm");
    fireEvent.click(screen.getByRole("button", { name: "Keep with Ravi Jardine-Bey" }));
    expect(await screen.findByRole("button", { name: "Kept" })).toBeTruthy();
    expect(sent.find((s) => s.path === "/api/students/ravi/fits" && s.method === "POST")?.body).toMatchObject(
      {
        kind: "CELLO_ENDPIN",
        confirmed: ["STANDS_UP_AT_ONCE"],
        setTo: "23 cm",
      },
    );
  });

  it("says in the server's sentence what cannot be", async () => {
    at({
      "POST /api/fits/compute": new Refusal(
        422,
        "Knee height must be in 22..60 cm, was 400 cm; was it measured in millimetres?",
      ),
    });
    draw(<FitPage />, "/roster/fit?class=c1");
    type(/^Knee height/, "400");
    expect((await screen.findByRole("alert")).textContent).toContain("was it measured in millimetres?");
  });

  it("cannot be kept with nobody, and shows what is overdue", async () => {
    at();
    draw(<FitPage />, "/roster/fit?class=c1");
    type(/^Knee height/, "38");
    expect(
      (await screen.findByRole("button", { name: "Choose a student to keep it" })).hasAttribute("disabled"),
    ).toBe(true);
    cleanup();
    draw(<FitPage />, "/roster/fit?class=c1&student=ravi");
    const fits = await screen.findByRole("region", { name: "Fits of Ravi Jardine-Bey" });
    expect(within(fits).getByText(/overdue since/)).toBeTruthy();
    expect(within(fits).getByText("Both feet flat on the floor")).toBeTruthy();
  });

  it.each(fitKinds)("draws a picture that says what it shows: %s", (kind) => {
    draw(<FitPicture kind={kind} result="24 cm" standing={false} />);
    expect(screen.getByRole("img").getAttribute("aria-label")!.length).toBeGreaterThan(20);
  });
});
