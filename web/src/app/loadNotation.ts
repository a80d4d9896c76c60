/** Fetches what draws notation, for a page that is about to show some; once, however often it is asked. */
export const loadNotation = () =>
  Promise.all([
    import("../features/line/Staff"),
    import("../features/line/Notation"),
    import("../features/line/LinePage"),
  ]);
