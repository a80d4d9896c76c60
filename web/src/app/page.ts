import { reach } from "../api/reach";
import { lazy, type ComponentType } from "react";

const mark = "vivid-loaded-anew";

/**
 * A screen that comes when it is opened. After an upgrade the server no longer has the files of the version that runs here:
 * then the page is loaded anew, once; marks that wait are kept over it.
 */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- a screen's own properties are kept as they are
export function page<C extends ComponentType<any>>(
  load: () => Promise<C>,
  reload: () => void = () => window.location.reload(),
  kept: Pick<Storage, "getItem" | "setItem" | "removeItem"> = sessionStorage,
) {
  return lazy(async () => {
    try {
      const screen = await load();
      kept.removeItem(mark);
      return { default: screen };
    } catch (error) {
      // Away from the server there is no newer version to load, and what is on the screen would be lost.
      if (kept.getItem(mark) || reach.isAway() || !navigator.onLine) throw error;
      kept.setItem(mark, "yes");
      reload();
      return new Promise<never>(() => undefined);
    }
  });
}
