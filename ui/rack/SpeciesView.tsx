"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Species } from "../../core/wood/species";
import { FindAnything } from "../find/FindAnything";
import { ShopLinks, TopBar } from "../frame/TopBar";

const EMPTY = {
  name: "",
  kind: "hardwood",
  radial: "0.0018",
  tangential: "0.0032",
  density: "650",
  stiffness: "11",
  note: "",
};

/** Every species with its values and where they come from; own ones can be added. */
export function SpeciesView({ species }: { species: Species[] }) {
  const router = useRouter();
  const [typed, setTyped] = useState(EMPTY);
  const [message, setMessage] = useState("");
  const [filter, setFilter] = useState("");
  const add = async () => {
    const numbers = Object.fromEntries(
      (["radial", "tangential", "density", "stiffness"] as const).map((field) => [
        field,
        typed[field].trim() === "" ? null : Number(typed[field].replace(",", ".")),
      ]),
    );
    const answer = await fetch("/api/species", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ ...typed, ...numbers }),
    }).catch(() => null);
    if (answer?.ok) {
      setTyped(EMPTY);
      setMessage(`${typed.name} is in the list now.`);
      router.refresh();
    } else
      setMessage(answer ? (await answer.json()).message : "The server does not answer; what you typed is still here.");
  };
  const field = (name: keyof typeof EMPTY, label: string, width = "w-24") => (
    <label className="text-[13px] text-graphite">
      {label}
      <input
        className={`input block text-ink ${width}`}
        value={typed[name]}
        onChange={(event) => setTyped({ ...typed, [name]: event.target.value })}
      />
    </label>
  );
  const shown = species.filter((each) => `${each.name} ${each.note}`.toLowerCase().includes(filter.toLowerCase()));
  return (
    <>
      <TopBar where={<span className="text-white">Species</span>}>
        <ShopLinks here="species" />
        <FindAnything />
      </TopBar>
      <main className="mx-auto max-w-[1240px] px-5 py-5">
        <div className="flex flex-wrap items-end justify-between gap-3">
          <div>
            <h1>Woods and how they move</h1>
            <p className="lede">
              {species.length} species. Coefficients are the change of width for each percent of moisture, good from 6
              to 14 %: radial is quarter-sawn, tangential flat-sawn.
            </p>
          </div>
          <label className="text-[13px] text-graphite">
            Look for
            <input
              className="input block w-48 text-ink"
              value={filter}
              onChange={(event) => setFilter(event.target.value)}
            />
          </label>
        </div>
        <table className="plain mt-4">
          <thead>
            <tr>
              <th>Species</th>
              <th className="number">Radial</th>
              <th className="number">Tangential</th>
              <th className="number">300 mm flat-sawn, 4 %</th>
              <th className="number">kg/m³ at 12 %</th>
              <th className="number">GPa</th>
              <th>To work</th>
              <th>Source</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((each) => (
              <tr key={each.id}>
                <td className="whitespace-nowrap">
                  <svg width="22" height="12" className="mr-2 inline" aria-hidden>
                    <rect width="22" height="12" fill={each.colour[0]} />
                    <path d="M0 4C8 2 14 6 22 4M0 9C8 7 14 10 22 8" stroke={each.colour[1]} fill="none" />
                  </svg>
                  {each.name}
                </td>
                <td className="number">{each.radial.toFixed(5)}</td>
                <td className="number">{each.tangential.toFixed(5)}</td>
                <td className="number">{(300 * each.tangential * 4).toFixed(1)} mm</td>
                <td className="number">{each.density}</td>
                <td className="number">{each.stiffness.toFixed(1)}</td>
                <td>{each.note}</td>
                <td className="text-[13px] text-graphite">{each.source}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <form
          className="mt-6 flex flex-wrap items-end gap-3 border border-hairline bg-sheet p-4"
          onSubmit={(event) => {
            event.preventDefault();
            void add();
          }}
        >
          <h2 className="basis-full">A species of your own</h2>
          {field("name", "Name", "w-44")}
          <label className="text-[13px] text-graphite">
            Kind
            <select
              className="input block text-ink"
              value={typed.kind}
              onChange={(event) => setTyped({ ...typed, kind: event.target.value })}
            >
              <option value="hardwood">Hardwood</option>
              <option value="softwood">Softwood</option>
            </select>
          </label>
          {field("radial", "Radial")}
          {field("tangential", "Tangential")}
          {field("density", "kg/m³")}
          {field("stiffness", "GPa", "w-20")}
          {field("note", "To work", "w-72")}
          <button className="button">Add it</button>
          {message && (
            <p role="status" className="basis-full">
              {message}
            </p>
          )}
        </form>
      </main>
    </>
  );
}
