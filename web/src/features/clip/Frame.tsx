import type { ReactNode } from "react";

/** What a picture stands in: as high as what is around it says by --tall, lower where that would be too wide; never stretched. */
export function Frame({
  width,
  height,
  className = "",
  children,
}: {
  width: number;
  height: number;
  className?: string;
  children: ReactNode;
}) {
  return (
    <div
      className={`relative mx-auto max-w-full overflow-hidden rounded ${className}`}
      style={{ aspectRatio: `${width} / ${height}`, width: `calc(var(--tall) * ${width / height})` }}
    >
      {children}
    </div>
  );
}
