import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server } from "../../test/render";
import { HelpedOfStudent } from "./HelpedOfStudent";
import { VariantsOfStudent } from "./VariantsOfStudent";

const variants = [
  {
    id: "v1",
    milestoneId: "m1",
    checkTitle: "Flute: shelf",
    instrumentName: "Flute",
    name: "Helper hold",
    note: "",
    givenOn: "2026-08-24",
    reviewOn: "2026-09-21",
    overdue: true,
    lastNote: "",
  },
  {
    id: "v2",
    milestoneId: "m1",
    checkTitle: "Flute: shelf",
    instrumentName: "Flute",
    name: "Curved head joint",
    note: "",
    givenOn: "2026-08-18",
    overdue: false,
    withdrawnOn: "2026-08-24",
    lastNote: "Reaches now",
  },
];

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("variants in a student's folder", () => {
  it("shows what is overdue and what was withdrawn, with why", async () => {
    server({ "GET /api/students/ana/variants": variants });
    draw(<VariantsOfStudent studentId="ana" />);
    expect(await screen.findByText(/review overdue since 21 Sept/)).toBeTruthy();
    expect(screen.getByText(/withdrawn 24 Aug: Reaches now/)).toBeTruthy();
    expect(screen.getAllByRole("button", { name: "Withdraw" })).toHaveLength(1);
  });

  it("keeps a look at it with a note, or withdraws it", async () => {
    const sent = server({
      "GET /api/students/ana/variants": variants,
      "POST /api/variants/v1/review": undefined,
    });
    draw(<VariantsOfStudent studentId="ana" />);
    fireEvent.change(await screen.findByLabelText("Note on Helper hold"), { target: { value: "nearly" } });
    fireEvent.click(screen.getByRole("button", { name: "Keep 2 weeks" }));
    expect(await screen.findByText("Kept, looked at again in 2 weeks")).toBeTruthy();
    expect(sent.find((s) => s.method === "POST")?.body).toMatchObject({ keepWeeks: 2, note: "nearly" });
  });

  it("says when somebody else withdrew it meanwhile", async () => {
    server({
      "GET /api/students/ana/variants": variants,
      "POST /api/variants/v1/review": new Refusal(
        409,
        "“Helper hold” was withdrawn before; load the page again.",
      ),
    });
    draw(<VariantsOfStudent studentId="ana" />);
    fireEvent.click(await screen.findByRole("button", { name: "Withdraw" }));
    expect((await screen.findByRole("alert")).textContent).toContain("was withdrawn before");
  });

  it("takes no room where there is nothing", async () => {
    server({ "GET /api/students/ana/variants": [], "GET /api/students/ana/helped": [] });
    const { container } = draw(
      <>
        <VariantsOfStudent studentId="ana" />
        <HelpedOfStudent studentId="ana" />
      </>,
    );
    await new Promise((done) => setTimeout(done, 20));
    expect(container.querySelector("h2")).toBeNull();
  });

  it("shows what helped, latest first as it came", async () => {
    server({
      "GET /api/students/ana/helped": [
        { id: "1", checkTitle: "First sound", sign: "Airy", remedy: "Firm corners", helpedOn: "2026-08-26" },
      ],
    });
    draw(<HelpedOfStudent studentId="ana" />);
    expect((await screen.findByText("Firm corners")).closest("li")!.textContent).toContain("against “airy”");
  });
});
