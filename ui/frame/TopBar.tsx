"use client";
import { ToggleGroup } from "radix-ui";
import Link from "next/link";
import type { ReactNode } from "react";
import { useUnit } from "./unit";

/** The dark bar: name, where you are, what can be done from anywhere. */
export function TopBar({ where, children }: { where: ReactNode; children?: ReactNode }) {
  const { unit, swap } = useUnit();
  return (
    <header className="flex h-11 items-center gap-4 max-md:gap-2 max-md:px-2 bg-ink px-5 text-[13px] text-pale print:hidden">
      <Link href="/" className="text-[16px] font-[750] tracking-[.02em] text-white [font-stretch:125%]">
        Taller
      </Link>
      <div className="min-w-0 truncate text-[14px]">{where}</div>
      <div className="ml-auto flex items-center gap-4 whitespace-nowrap max-md:gap-2">
        {children}
        <ToggleGroup.Root
          type="single"
          value={unit}
          onValueChange={(next) => next && swap(next as "mm" | "inch")}
          aria-label="Unit"
          className="flex overflow-hidden rounded-plain border border-graphite"
        >
          {(["mm", "inch"] as const).map((each) => (
            <ToggleGroup.Item
              key={each}
              value={each}
              className="h-8 px-2.5 data-[state=on]:bg-film data-[state=on]:font-semibold data-[state=on]:text-ink"
            >
              {each}
            </ToggleGroup.Item>
          ))}
        </ToggleGroup.Root>
      </div>
    </header>
  );
}

export function Key({ children }: { children: ReactNode }) {
  return <kbd className="mr-1 rounded-plain border border-graphite px-1.5 font-sans text-[12px]">{children}</kbd>;
}

/** The places outside a piece. */
export function ShopLinks({ here }: { here: "bench" | "rack" | "species" | "shop" | "sources" }) {
  const places = [
    ["bench", "/", "Bench"],
    ["rack", "/rack", "Rack"],
    ["species", "/species", "Species"],
    ["shop", "/shop", "Shop"],
    ["sources", "/sources", "Sources"],
  ] as const;
  return (
    <nav className="flex gap-1" aria-label="Places">
      {places.map(([id, href, name]) => (
        <Link
          key={id}
          href={href}
          aria-current={id === here ? "page" : undefined}
          className={`flex h-8 items-center px-2 ${id === here ? "font-semibold text-white" : "hover:text-white"}`}
        >
          {name}
        </Link>
      ))}
    </nav>
  );
}
