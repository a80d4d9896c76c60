import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from "react";
import { Button } from "./parts";

interface Toast {
  id: number;
  words: string;
  undo?: () => void;
}

const Context = createContext<(words: string, undo?: () => void) => void>(() => {});

/** Says what just happened, politely, with a way back. */
export const useToast = () => useContext(Context);

export function Toasts({ children }: { children: ReactNode }) {
  const [toasts, setToasts] = useState<Toast[]>([]);
  const close = useCallback((id: number) => setToasts((all) => all.filter((toast) => toast.id !== id)), []);
  const show = useCallback(
    (words: string, undo?: () => void) => {
      const id = Date.now() + Math.random();
      setToasts((all) => [...all.slice(-2), { id, words, undo }]);
      window.setTimeout(() => close(id), undo ? 9000 : 5000);
    },
    [close],
  );
  const value = useMemo(() => show, [show]);
  return (
    <Context.Provider value={value}>
      {children}
      <div role="status" aria-live="polite" className="no-print fixed right-5 bottom-5 z-50 grid gap-2">
        {toasts.map((toast) => (
          <div
            key={toast.id}
            className="bg-neutral text-neutral-content flex items-center gap-4 rounded-xl px-4 py-2.5 shadow-lg"
          >
            <span>{toast.words}</span>
            {toast.undo && (
              <Button
                small
                look="quiet"
                onClick={() => {
                  toast.undo?.();
                  close(toast.id);
                }}
              >
                Undo
              </Button>
            )}
          </div>
        ))}
      </div>
    </Context.Provider>
  );
}
