/** Where one is, for the window, the history and whoever listens. */
export function Title({ children }: { children: string }) {
  return <title>{`${children} · Hodegon`}</title>;
}
