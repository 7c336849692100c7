"use client";
import Link from "next/link";
import { useRouter } from "next/navigation";
import type { Commission, SharedSetting } from "../../core/commission";
import { listed } from "../../core/verdict/verdict";
import { CommissionBoards } from "./CommissionBoards";
import { SceneView } from "../drawing/SceneView";
import { FindAnything } from "../find/FindAnything";
import { dayName } from "../frame/sentences";
import { fractions } from "../frame/fractions";
import { ShopLinks, TopBar } from "../frame/TopBar";
import { useUnit } from "../frame/unit";

const MACHINES = {
  planer: "Planer, thickness",
  "table saw": "Table saw, width",
  "crosscut stop": "Crosscut stop, finished length",
};

/** The pieces of one commission: side by side to one scale, then what they share at the machines and on the rack. */
export function CommissionView({
  name,
  commission: { scene, pieces, settings, near, boards },
  more,
}: {
  name: string;
  commission: Commission;
  more: number;
}) {
  const router = useRouter();
  const { length, withUnit } = useUnit();
  const shared = settings.filter((each) => each.pieces.length > 1).length;
  return (
    <>
      <TopBar where={<span className="text-white">{name}</span>}>
        <ShopLinks here="bench" />
        <FindAnything />
      </TopBar>
      <main className="mx-auto flex max-w-[1240px] flex-col gap-5 px-5 py-5">
        <div>
          <h1>{name}</h1>
          <p className="lede">
            {pieces.length === 1 ? "One piece" : `${pieces.length} pieces`} to one scale; click one to open it.
            {more > 0 && ` ${more} more are on the bench, and not drawn here.`}
          </p>
        </div>
        <SceneView scene={scene} height={240} onPick={(id) => router.push(`/pieces/${id}/form`)} />
        <section>
          <h2>The pieces</h2>
          <table className="plain">
            <thead>
              <tr>
                <th>Piece</th>
                <th>Size</th>
                <th>Wood</th>
                <th className="number">Weighs</th>
                <th className="number">Hours to go</th>
                <th>Promised</th>
              </tr>
            </thead>
            <tbody>
              {pieces.map((each) => (
                <tr key={each.id}>
                  <td>
                    <Link href={`/pieces/${each.id}/form`} className="text-layout underline-offset-2 hover:underline">
                      {each.name}
                    </Link>
                    {each.times > 1 && `, made ${each.times} times`}
                  </td>
                  <td className="whitespace-nowrap">
                    {fractions(`${each.size.map((mm) => length(mm)).join(" by ")}`)}
                  </td>
                  <td>{each.species}</td>
                  <td className="number">{each.weight === null ? "not planned" : `${Math.round(each.weight)} kg`}</td>
                  <td className="number">{each.hours === null ? "" : each.hours.toFixed(0)}</td>
                  <td>{each.deadline ? dayName(each.deadline) : ""}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
        <section>
          <h2>Each setting once, for all of them</h2>
          <p className="lede">
            {shared === 0
              ? "No setting serves two pieces: sizes that are made alike are planed and sawn together."
              : `${shared} ${shared === 1 ? "setting serves" : "settings serve"} more than one piece.`}
          </p>
          {near.map(({ thick, thin, pieces: names }) => (
            <p key={thick} className="text-[13.5px]">
              {fractions(
                `${withUnit(thick)} and ${withUnit(thin)} are nearly one planer setting: made alike, ${listed(names)} are planed together.`,
              )}
            </p>
          ))}
          <div className="grid grid-cols-3 gap-8 max-md:grid-cols-1">
            {(["planer", "table saw", "crosscut stop"] as const).map((machine) => (
              <div key={machine}>
                <h3 className="text-[13px] text-graphite">{MACHINES[machine]}</h3>
                <ol>
                  {settings
                    .filter((each) => each.machine === machine)
                    .map((each) => (
                      <SettingRow key={each.setting} setting={each} said={withUnit(each.setting)} />
                    ))}
                </ol>
              </div>
            ))}
          </div>
        </section>
        <CommissionBoards name={name} />
        <section>
          <h2>Boards that serve several</h2>
          {boards.length === 0 ? (
            <p className="lede">
              None: each piece is cut from boards of its own. A board may serve two of them, each with its own stretch.
            </p>
          ) : (
            <ul>
              {boards.map(({ id, pieces: names }) => (
                <li key={id} className="flex gap-3 border-b border-hairline py-1 text-[13.5px]">
                  <Link
                    href={`/rack/${encodeURIComponent(id)}`}
                    className="w-24 font-semibold text-layout underline-offset-2 hover:underline"
                  >
                    {id}
                  </Link>
                  <span className="text-graphite">{names.join(", ")}</span>
                </li>
              ))}
            </ul>
          )}
        </section>
      </main>
    </>
  );
}

/** One setting: told in full where several pieces are run at it. */
function SettingRow({ setting: { pieces }, said }: { setting: SharedSetting; said: string }) {
  return (
    <li className="flex justify-between gap-3 border-b border-hairline py-1 text-[13.5px]">
      <b className="font-[560] whitespace-nowrap">{said}</b>
      <span className={`text-right ${pieces.length > 1 ? "" : "text-graphite"}`}>
        {pieces.map(({ id, name, marks }) => (
          <span key={id} className="block">
            {name}: {marks.join(" ")}
          </span>
        ))}
      </span>
    </li>
  );
}
