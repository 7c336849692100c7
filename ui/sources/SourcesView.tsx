"use client";
import Link from "next/link";
import { FORMULAS } from "../../core/sources/formulas";
import { scientific } from "../../core/sources/numbers";
import { leaves, worked } from "../../core/sources/worked";
import { FILMS } from "../../core/movement/finish";
import type { Piece } from "../../core/piece/schema";
import type { Plan } from "../../core/plan";
import type { Species } from "../../core/wood/species";
import { useUnit } from "../frame/unit";

/** Every formula with its range and source, this piece's own numbers through them, and what the species and finishes stand at. */
export function SourcesView({ species, of }: { species: readonly Species[]; of: { plan: Plan; piece: Piece } | null }) {
  const { say } = useUnit();
  const outside = of ? leaves(of.plan, of.piece) : [];
  const lines = of ? worked(of.plan, of.piece) : [];
  return (
    <main className="mx-auto flex max-w-[1080px] flex-col gap-6 px-5 py-5">
      <div>
        <h1>Where every number comes from</h1>
        <p className="lede">
          The formulas Taller uses, where each holds, its source, and what it was held against. A value marked “from
          memory” was not looked up in print.
        </p>
      </div>
      {of && (
        <section aria-label="This piece by hand">
          <h2>{of.piece.name} by hand</h2>
          <div className="overflow-x-auto">
            <table className="plain mt-2" data-table="worked">
              <thead>
                <tr>
                  <th>What</th>
                  <th>Put in</th>
                  <th className="number">Comes out</th>
                  <th>Formula</th>
                </tr>
              </thead>
              <tbody>
                {lines.map((line, i) => (
                  <tr key={i}>
                    <td>{say(line.what)}</td>
                    <td>{line.sum}</td>
                    <td className="number whitespace-nowrap font-semibold">{line.result}</td>
                    <td>
                      <a className="underline" href={`#${line.formula}`}>
                        {FORMULAS.find((each) => each.id === line.formula)!.name}
                      </a>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <h2 className="mt-4">Where it leaves a formula’s range</h2>
          {outside.length === 0 ? (
            <p>Nowhere: every formula is used within its range.</p>
          ) : (
            <ul className="list-disc pl-5">
              {outside.map((each) => (
                <li key={each.text}>
                  {say(each.text)}{" "}
                  <a className="underline" href={`#${each.formula}`}>
                    {FORMULAS.find((one) => one.id === each.formula)!.name}
                  </a>
                </li>
              ))}
            </ul>
          )}
        </section>
      )}
      <section aria-label="Formulas">
        <h2>Formulas</h2>
        {FORMULAS.map((each) => (
          <article
            key={each.id}
            id={each.id}
            className={`grid grid-cols-[220px_minmax(0,1fr)] gap-4 border-t border-hairline py-3 max-md:grid-cols-1 ${outside.some((one) => one.formula === each.id) ? "bg-wash" : ""}`}
          >
            <h3 className="font-semibold">{each.name}</h3>
            <div>
              {each.formula.map((line) => (
                <p key={line} className="font-[560]">
                  {line}
                </p>
              ))}
              <dl className="mt-1 grid grid-cols-[92px_minmax(0,1fr)] text-[13px] text-graphite">
                {(
                  [
                    ["With", each.symbols],
                    ["Holds", each.range],
                    ["Source", each.source],
                    ["Held against", each.checked],
                  ] as const
                ).map(([what, text]) => (
                  <div key={what} className="contents">
                    <dt>{what}</dt>
                    <dd>{text}</dd>
                  </div>
                ))}
              </dl>
            </div>
          </article>
        ))}
      </section>
      <section aria-label="Finishes">
        <h2>Finishes</h2>
        <table className="plain mt-2">
          <thead>
            <tr>
              <th>Finish</th>
              <th className="number">Velocity of exchange, m/s</th>
              <th>Source</th>
            </tr>
          </thead>
          <tbody>
            {FILMS.map((film) => (
              <tr key={film.id}>
                <td>{film.name}</td>
                <td className="number">{film.exchange === null ? "no film" : scientific(film.exchange)}</td>
                <td className="text-[13px] text-graphite">{film.source}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section aria-label="Species">
        <h2>Species</h2>
        <p className="text-[13px] text-graphite">
          What each is like to work stands on the{" "}
          <Link className="underline" href="/species">
            species page
          </Link>
          .
        </p>
        <div className="overflow-x-auto">
          <table className="plain mt-2">
            <thead>
              <tr>
                <th>Species</th>
                <th className="number">C_R</th>
                <th className="number">C_T</th>
                <th className="number">kg/m³ at 12 %</th>
                <th>Source</th>
              </tr>
            </thead>
            <tbody>
              {species.map((each) => (
                <tr key={each.id} className={of?.plan.species.id === each.id ? "bg-wash" : ""}>
                  <td>{each.name}</td>
                  <td className="number">{each.radial.toFixed(5)}</td>
                  <td className="number">{each.tangential.toFixed(5)}</td>
                  <td className="number">{each.density}</td>
                  <td className="text-[13px] text-graphite">{each.source}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </section>
    </main>
  );
}
