import { registerSW } from "virtual:pwa-register";

/** A version of the app that was fetched and waits to be taken; it never comes by itself. */
class NewVersion {
  private waiting = false;
  private take?: (reload?: boolean) => Promise<void>;
  private readonly listeners = new Set<() => void>();

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  isWaiting = () => this.waiting;

  /** Loads the page anew with the version that waits; marks that wait to be sent are kept over it. */
  accept = () => void this.take?.(true);

  /** Keeps the app itself on the device, where the browser allows it: over https, or on the machine itself. */
  watch() {
    if (!("serviceWorker" in navigator)) return;
    this.take = registerSW({
      onNeedRefresh: () => {
        this.waiting = true;
        this.listeners.forEach((listener) => listener());
      },
    });
  }
}

export const newVersion = new NewVersion();
