export type Theme = "paper" | "pit";

const key = "vivid-theme";

export const currentTheme = (): Theme => (document.documentElement.dataset.theme === "pit" ? "pit" : "paper");

export function setTheme(theme: Theme) {
  document.documentElement.dataset.theme = theme;
  localStorage.setItem(key, theme);
}

export function restoreTheme() {
  if (localStorage.getItem(key) === "pit") document.documentElement.dataset.theme = "pit";
}
