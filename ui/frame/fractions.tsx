import type { ReactNode } from "react";

/** The same text with its fractions set as real ones; `Tag` is `tspan` inside a drawing. Only they may get the font's feature: it turns every digit it meets into a numerator. */
export function fractions(text: string, Tag: "span" | "tspan" = "span"): ReactNode {
  const parts = text.split(/(\d+\/\d+)/);
  return parts.length === 1
    ? text
    : parts.map((part, i) =>
        i % 2 ? (
          <Tag key={i} className="fraction">
            {part}
          </Tag>
        ) : (
          part
        ),
      );
}
