/** How the jump box is drawn, there and while it comes. */
export const jumpFrame =
  "fixed inset-x-3 top-[12vh] z-50 mx-auto max-w-xl overflow-hidden rounded-xl border-[1.5px] border-base-content bg-base-100 shadow-2xl";

export const jumpField = "hairline w-full border-b-[1.5px] bg-transparent px-5 py-3.5 text-lg outline-none";
