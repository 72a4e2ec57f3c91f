export const THEMES = [
  { id: "light", label: "Light" },
  { id: "dark", label: "Dark" },
  { id: "sunlight", label: "Sunlight" },
];

const KEY = "hodegon-theme";

/** The chosen theme, or what the system asks for. */
export function storedTheme(): string {
  const stored = localStorage.getItem(KEY);
  if (THEMES.some((t) => t.id === stored)) return stored as string;
  return window.matchMedia?.("(prefers-color-scheme: dark)").matches ? "dark" : "light";
}

export function applyTheme(theme: string) {
  document.documentElement.dataset.theme = theme;
  localStorage.setItem(KEY, theme);
}
