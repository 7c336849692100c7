"use client";
import { ANY_BOARD } from "../../core/stock/rack-query";
import { findSpecies, Species } from "../../core/wood/species";
import { Choice, FieldRow, LengthField, TextField, Tick } from "../fields/fields";
import type { useRack } from "./useRack";

type Rack = ReturnType<typeof useRack>;

/** What is asked of the rack: by name, wood, size, and in which order. */
export function RackSearch({
  query,
  sum,
  ownSpecies,
  ask,
}: Pick<Rack, "query" | "sum" | "ask"> & { ownSpecies: readonly Species[] }) {
  const all = sum.species.reduce((count, each) => count + each.count, 0);
  return (
    <FieldRow>
      <TextField
        label="Name, tree or shelf"
        value={query.text}
        onTake={(text) => {
          ask({ text });
          return null;
        }}
      />
      <Choice
        label="Wood"
        value={query.species ?? "all"}
        options={[
          { value: "all", name: `All, ${all}` },
          ...sum.species.map((each) => ({
            value: each.id,
            name: `${findSpecies(each.id, ownSpecies)?.name ?? each.id}, ${each.count}`,
          })),
        ]}
        onTake={(id) => ask({ species: id === "all" ? null : id })}
      />
      <LengthField
        label="At least long"
        value={query.longest}
        onTake={(longest) => {
          ask({ longest });
          return null;
        }}
      />
      <LengthField
        label="At least wide"
        value={query.widest}
        onTake={(widest) => {
          ask({ widest });
          return null;
        }}
      />
      <LengthField
        label="At least thick"
        value={query.thickest}
        onTake={(thickest) => {
          ask({ thickest });
          return null;
        }}
      />
      <Tick label="Not reserved" checked={query.free} onTake={(free) => ask({ free })} />
      <Choice
        label="In order of"
        value={query.sort}
        options={[
          { value: "name", name: "Name" },
          { value: "length", name: "Length, longest first" },
          { value: "width", name: "Width, widest first" },
        ]}
        onTake={(sort) => ask({ sort })}
      />
      {JSON.stringify(query) !== JSON.stringify(ANY_BOARD) && (
        <button className="button button-plain self-end" onClick={() => ask(ANY_BOARD)}>
          Show all
        </button>
      )}
    </FieldRow>
  );
}
