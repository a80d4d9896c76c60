/** Whether the server answers, as the latest request found it. */
class Reach {
  private away = false;
  private readonly listeners = new Set<() => void>();

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  isAway = () => this.away;

  found(answered: boolean) {
    if (this.away === !answered) return;
    this.away = !answered;
    this.listeners.forEach((listener) => listener());
  }
}

export const reach = new Reach();
