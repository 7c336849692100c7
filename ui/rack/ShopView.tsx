"use client";
import { AutoLengthField } from "../fields/auto";
import { useState } from "react";
import { TYPICAL_CLIMATES } from "../../core/climate/rooms";
import type { Shop } from "../../core/piece/shop";
import { parseLength } from "../../core/units/length";
import { Choice, LengthField, NumberField, TextField } from "../fields/fields";
import { FindAnything } from "../find/FindAnything";
import { ShopLinks, TopBar } from "../frame/TopBar";
import { useUnit } from "../frame/unit";
import { DowelList } from "./FastenerFields";

/** What the shop owns: every judgement about tools and clamps reads it. Each change saves by itself. */
export function ShopView({ shop: first }: { shop: Shop }) {
  const [shop, setShop] = useState(first);
  const [message, setMessage] = useState("Saved.");
  const { unit, length } = useUnit();
  const take = (change: Partial<Shop>): string | null => {
    const next = { ...shop, ...change };
    setShop(next);
    setMessage("Saving");
    void fetch("/api/shop", {
      method: "PUT",
      headers: { "content-type": "application/json" },
      body: JSON.stringify(next),
    }).then(
      async (answer) => setMessage(answer.ok ? "Saved." : (await answer.json()).message),
      () => setMessage("The server does not answer; this is not saved yet. Change any field to try again."),
    );
    return null;
  };
  const lengths = (label: string, sizes: readonly number[], onTake: (sizes: number[]) => string | null) => (
    <TextField
      label={label}
      value={sizes.map((each) => length(each)).join(", ")}
      onTake={(typed) => {
        const read = typed
          .split(/[;,](?=\s|$)|;|,\s*/)
          .map((each) => each.trim())
          .filter(Boolean)
          .map((each) => parseLength(each, unit));
        const bad = read.find((each) => !each.ok);
        return bad && !bad.ok ? bad.message : onTake(read.map((each) => (each.ok ? each.mm : 0)));
      }}
    />
  );
  const edgeBits = (label: string, kind: Shop["edgeBits"][number]["kind"]) =>
    lengths(
      label,
      shop.edgeBits.filter((each) => each.kind === kind).map((each) => each.size),
      (sizes) =>
        take({
          edgeBits: [...shop.edgeBits.filter((each) => each.kind !== kind), ...sizes.map((size) => ({ kind, size }))],
        }),
    );
  const size = (
    label: string,
    key:
      | "jointerWidth"
      | "jointerLength"
      | "planerWidth"
      | "bladeReach"
      | "bevelReach"
      | "sledBase"
      | "panelOver"
      | "crosscutWidth"
      | "ripLength"
      | "mortiseDepth"
      | "kerf"
      | "jointing"
      | "cleaning"
      | "lengthAllowance"
      | "widthAllowance"
      | "keepOffcut",
  ) => <LengthField label={label} value={shop[key]} onTake={(value) => take({ [key]: value })} />;
  /** a machine the shop has or has not: nothing typed means none */
  const owned = (label: string, key: "bandsawHeight" | "trackSaw" | "routerSled" | "drumSander", usual: number) => (
    <AutoLengthField
      label={label}
      value={shop[key]}
      auto={usual}
      none="none here"
      onTake={(value) => take({ [key]: value })}
    />
  );
  /** a machine of several sizes, or none */
  const kit = <K extends Record<string, number>>(
    name: string,
    value: K | null,
    usual: K,
    onTake: (value: K | null) => string | null,
  ) =>
    value === null ? (
      <button className="button" onClick={() => onTake(usual)}>
        Add a {name}
      </button>
    ) : (
      <div className="flex flex-wrap items-end gap-4">
        {Object.entries(value).map(([key, each]) => (
          <LengthField
            key={key}
            label={`${name[0].toUpperCase()}${name.slice(1)}, ${key}`}
            value={each}
            onTake={(size) => onTake({ ...value, [key]: size })}
          />
        ))}
        <button className="button button-plain" onClick={() => onTake(null)}>
          Take out
        </button>
      </div>
    );
  return (
    <>
      <TopBar where={<span className="text-white">Shop</span>}>
        <span role="status">{message}</span>
        <ShopLinks here="shop" />
        <FindAnything />
      </TopBar>
      <main className="mx-auto flex max-w-[1000px] flex-col gap-6 px-5 py-5">
        <div>
          <h1>The shop and its tools</h1>
          <p className="lede">Joints are rounded to the cutters you own, glue-ups to your clamps and planer.</p>
        </div>
        <div className="flex flex-wrap gap-4">
          <TextField label="Name" value={shop.name} onTake={(name) => take({ name })} />
          <NumberField
            label="Warmth"
            suffix="°C"
            value={shop.temperature}
            onTake={(temperature) => take({ temperature })}
          />
          <Choice
            label="Air of the shop"
            value={shop.climate.kind === "typical" ? shop.climate.id : "other"}
            options={[
              ...TYPICAL_CLIMATES.filter((each) => each.place !== "porch").map((each) => ({
                value: each.id,
                name: each.name,
              })),
              ...(shop.climate.kind === "typical" ? [] : [{ value: "other", name: "As imported" }]),
            ]}
            onTake={(id) => {
              if (id !== "other") take({ climate: { kind: "typical", id } });
            }}
          />
          <TextField
            label="Currency"
            value={shop.currency}
            onTake={(currency) =>
              /^[A-Z]{3}$/.test(currency) ? take({ currency }) : "a currency is three capitals, such as EUR."
            }
          />
          <NumberField label="One person lifts" suffix="kg" value={shop.lift} onTake={(lift) => take({ lift })} />
        </div>
        <section>
          <h2>Machines</h2>
          <div className="mt-2 flex flex-wrap gap-4">
            {size("Jointer width", "jointerWidth")}
            {size("Jointer bed", "jointerLength")}
            {size("Planer width", "planerWidth")}
            {owned("Bandsaw height", "bandsawHeight", 300)}
            {size("Blade comes through", "bladeReach")}
            {size("Tilted to 45°", "bevelReach")}
            {size("Base of the sled", "sledBase")}
            {owned("Track saw cuts", "trackSaw", 55)}
            {size("Crosscut saw takes", "crosscutWidth")}
            {size("Longest board ripped", "ripLength")}
            {size("Deepest mortise", "mortiseDepth")}
            {owned("Router sled takes", "routerSled", 1000)}
            {owned("Drum sander takes", "drumSander", 800)}
          </div>
          <div className="mt-3 flex flex-wrap items-end gap-4">
            {kit("mitre saw", shop.mitreSaw, { width: 300, height: 90 }, (mitreSaw) => take({ mitreSaw }))}
            {kit(
              "driven router",
              shop.drivenRouter,
              { length: 1200, width: 800, depth: 100, bit: 60 },
              (drivenRouter) => take({ drivenRouter }),
            )}
          </div>
        </section>
        <section>
          <h2>Cutters</h2>
          <div className="mt-2 flex flex-wrap gap-4">
            {lengths("Router bits", shop.routerBits, (routerBits) => take({ routerBits }))}
            {lengths("Chisels", shop.chisels, (chisels) => take({ chisels }))}
            {lengths("Pocket screws", shop.pocketScrews, (pocketScrews) => take({ pocketScrews }))}
            {edgeBits("Quarter rounds for edges", "round")}
            {edgeBits("Chamfer cutters", "chamfer")}
            {shop.looseTenons.map((each, i) => {
              const change = (part: Partial<typeof each>) =>
                take({ looseTenons: shop.looseTenons.map((one, j) => (j === i ? { ...one, ...part } : one)) });
              return (
                <div key={i} className="flex flex-wrap gap-4">
                  <LengthField
                    label={`Loose tenon ${i + 1}, thick`}
                    value={each.thickness}
                    onTake={(thickness) => change({ thickness })}
                  />
                  <LengthField label="wide" value={each.width} onTake={(width) => change({ width })} />
                  <AutoLengthField
                    label="long"
                    value={each.length}
                    auto={0}
                    none="from a stick"
                    onTake={(length) => change({ length })}
                  />
                </div>
              );
            })}
          </div>
        </section>
        <DowelList dowels={shop.dowels} onTake={(dowels) => take({ dowels })} />
        <section>
          <h2>Clamps</h2>
          <div className="mt-2 flex flex-col gap-2">
            {shop.clamps.map((clamp, i) => {
              const change = (part: Partial<typeof clamp>) =>
                take({ clamps: shop.clamps.map((one, j) => (j === i ? { ...one, ...part } : one)) });
              return (
                <div key={i} className="flex items-end gap-4">
                  <LengthField label="Opens" value={clamp.reach} onTake={(reach) => change({ reach })} />
                  <NumberField label="How many" value={clamp.count} onTake={(count) => change({ count })} />
                  <NumberField label="Force" suffix="kN" value={clamp.force} onTake={(force) => change({ force })} />
                  <button
                    className="button button-plain"
                    onClick={() => take({ clamps: shop.clamps.filter((_, j) => j !== i) })}
                  >
                    Take out
                  </button>
                </div>
              );
            })}
            <button
              className="button self-start"
              onClick={() => take({ clamps: [...shop.clamps, { reach: 1500, count: 2, force: 5 }] })}
            >
              Add clamps
            </button>
          </div>
        </section>
        <section>
          <h2>Allowances</h2>
          <div className="mt-2 flex flex-wrap gap-4">
            {size("Saw kerf", "kerf")}
            {size("Jointing an edge", "jointing")}
            {size("Cleaning a face", "cleaning")}
            {size("Panel strips left thick", "panelOver")}
            {size("Left on length", "lengthAllowance")}
            {size("Left on width", "widthAllowance")}
            {size("Shortest offcut kept", "keepOffcut")}
          </div>
        </section>
      </main>
    </>
  );
}
