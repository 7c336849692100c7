import type { Part } from "./cut-list";

/** One machine setting and the parts it serves: planed together, ripped together, crosscut together. */
export interface MachineSetting {
  machine: "planer" | "table saw" | "crosscut stop";
  setting: number;
  parts: { id: string; name: string; marks: string[] }[];
}

/** Settings in the order they are made, thickest and longest first, each once. */
export function machineSettings(parts: readonly Part[]): MachineSetting[] {
  const solid = parts.filter((part) => part.role !== "panel");
  const by = (machine: MachineSetting["machine"], sizes: (part: Part) => number[]): MachineSetting[] => {
    const groups = new Map<number, Part[]>();
    for (const part of solid)
      for (const size of new Set(sizes(part).map((each) => Math.round(each * 10) / 10)))
        groups.set(size, [...(groups.get(size) ?? []), part]);
    return [...groups]
      .sort(([a], [b]) => b - a)
      .map(([setting, members]) => ({
        machine,
        setting,
        parts: members.map(({ id, name, marks }) => ({ id, name, marks })),
      }));
  };
  return [
    ...by("planer", (part) => part.stock.map((each) => each.thickness)),
    ...by("table saw", (part) => (part.ownEdges ? [] : part.stock.map((each) => each.width))),
    ...by("crosscut stop", (part) => [part.finished.length + part.long]),
  ];
}
