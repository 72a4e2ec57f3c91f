import { useEffect, useRef } from "react";

/** A picture held on this page or kept on the server; what is on it is said beside it. */
export function Picture({ of, mirrored }: { of: Blob | string; mirrored?: boolean }) {
  const image = useRef<HTMLImageElement>(null);
  useEffect(() => {
    if (typeof of === "string") {
      image.current!.src = of;
      return;
    }
    const address = URL.createObjectURL(of);
    image.current!.src = address;
    return () => URL.revokeObjectURL(address);
  }, [of]);
  return (
    <img
      ref={image}
      alt=""
      className={`block size-full ${mirrored ? "-scale-x-100" : ""}`}
      draggable={false}
    />
  );
}
