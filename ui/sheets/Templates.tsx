"use client";
import { FileDown, Printer } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import type { Spot } from "../../core/assembly/outline";
import { loopsOf, outside } from "../../core/templates/lines";
import { MOST_PAGES, Page, pagesOf, Paper, PAPERS } from "../../core/templates/pages";
import { BEARING, SAW_OUTSIDE, Template, templatesOf } from "../../core/templates/templates";
import { Choice } from "../fields/fields";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";

/** A line of this length stands on the sheet, to see whether the printer kept to full size, mm. */
const CHECK = 100;
/** Room round a template, for the line it is sawn to and a little more, mm. */
const AROUND = SAW_OUTSIDE + 3;

const PAPER_CHOICES = (Object.keys(PAPERS) as Paper[]).map((value) => ({ value, name: PAPERS[value].name }));

/** Every curve of the piece at full size, sheet by sheet; what is too large for that as a file for a driven cutter. */
export function Templates() {
  const { id, piece, plan } = usePiece();
  const { withUnit } = useUnit();
  const [paper, choose] = useState<Paper>("small");
  const all = templatesOf(plan.assembly.parts);
  return (
    <main
      className={`mx-auto ${paper === "large" ? "max-w-[1123px]" : "max-w-[794px]"} bg-white px-[54px] py-6 text-[#000] print:max-w-none print:p-0`}
    >
      <div className="mb-4 flex items-end justify-between gap-3 print:hidden">
        <Link className="button button-plain" href={`/pieces/${id}/cutting`}>
          Back to cutting
        </Link>
        <span className="flex items-end gap-3">
          {all.length > 0 && <Choice label="Paper" value={paper} options={PAPER_CHOICES} onTake={choose} />}
          {all.length > 0 && (
            <a className="button button-plain" href={`/api/pieces/${id}/templates`}>
              <FileDown size={15} />
              All as DXF
            </a>
          )}
          <button className="button" onClick={() => window.print()}>
            <Printer size={15} />
            Print at full size
          </button>
        </span>
      </div>
      <h1>{piece.name}: templates</h1>
      {all.length === 0 ? (
        <p>Every line of this piece is straight: it needs no template.</p>
      ) : (
        <>
          <p className="text-[13px]">
            Printed at 100 %, never fitted to the page: this line is {withUnit(CHECK)} long, held to a rule. Glued onto
            thin sheet edge to edge by the marks in the corners, sawn and filed to the full line. Parts are sawn to the
            dashed one, {withUnit(SAW_OUTSIDE)} outside, and brought to the template after their joints are cut.
          </p>
          <svg
            width={`${CHECK + 2}mm`}
            height="6mm"
            viewBox={`-1 0 ${CHECK + 2} 6`}
            aria-label="Line to check the size by"
          >
            <path d={`M0 1V5M0 3H${CHECK}M${CHECK} 1V5`} stroke="#000" strokeWidth={0.25} fill="none" />
          </svg>
        </>
      )}
      {all.map((template) => (
        <One key={template.id} template={template} piece={id} paper={paper} />
      ))}
    </main>
  );
}

function One({ template, piece, paper }: { template: Template; piece: string; paper: Paper }) {
  const { withUnit } = useUnit();
  const { columns, rows, upright, pages } = pagesOf(template.size, AROUND, paper);
  const printed = pages.length <= MOST_PAGES;
  const onLarge = pagesOf(template.size, AROUND, "large").pages.length;
  return (
    <section data-template={template.id} className="mt-6">
      <h2>
        {template.name}: {template.parts.join(", ")}
      </h2>
      <ul className="text-[13px]">
        {factsOf(template, withUnit).map((fact) => (
          <li key={fact}>{fact}</li>
        ))}
        <li>
          {printed
            ? `${pages.length} ${pages.length > 1 ? `sheets, ${columns} along it and ${rows} across` : "sheet"}.`
            : `It would take ${pages.length} sheets of ${PAPERS[paper].name}: sent as a file, or drawn from its measures on the wood itself.${onLarge <= MOST_PAGES ? ` ${PAPERS.large.name} takes ${onLarge}.` : ""}`}
        </li>
      </ul>
      <a className="button button-plain mt-1 print:hidden" href={`/api/pieces/${piece}/templates?of=${template.id}`}>
        <FileDown size={15} />
        {template.name} as DXF
      </a>
      <Small template={template} />
      {printed &&
        pages.map((page) => (
          <Sheet key={`${page.column}-${page.row}`} template={template} page={page} level={!upright} />
        ))}
    </section>
  );
}

/** What is said beside a template, in the order in which it is needed. */
function factsOf(template: Template, withUnit: (mm: number) => string): string[] {
  const { half, from, size, length, width, tightest, grain, narrowest, view } = template;
  return [
    `${withUnit(Math.round(length * 10) / 10)} by ${withUnit(Math.round(width * 10) / 10)} over all, seen ${view === "face" ? "on its face" : "on its edge"}; its grain to the right.`,
    ...(half ? ["The half is turned over about its right edge: both halves are then alike."] : []),
    ...(from > 0 || (!half && size.length < length - 1)
      ? [
          from > 0
            ? `It begins ${withUnit(Math.round(from))} from the part’s left end.`
            : `Its left end is the part’s; from ${withUnit(Math.round(size.length))} on the part is straight.`,
        ]
      : []),
    ...(tightest !== null && tightest < BEARING
      ? [
          `Its tightest hollow has a radius of ${withUnit(Math.round(tightest * 10) / 10)}: less than a bearing of ${withUnit(2 * BEARING)} follows, finished by hand.`,
        ]
      : []),
    ...(grain && grain.degrees > 3
      ? [
          `The grain runs out at up to ${Math.round(grain.degrees)}°, ${withUnit(Math.round(grain.x))} from the left end: cut downhill from the high side, from both ends toward the hollow’s middle.`,
        ]
      : []),
    `At its narrowest ${withUnit(Math.round(narrowest.wide))} stay, ${withUnit(Math.round(narrowest.x))} from the left end.`,
  ];
}

const pathOf = (spots: readonly Spot[], y: (value: number) => number) =>
  `M${spots.map(([a, b]) => `${a.toFixed(2)} ${y(b).toFixed(2)}`).join("L")}Z`;

/** The whole of it small, as it lies over its sheets. */
function Small({ template }: { template: Template }) {
  const { length, width } = template.size;
  return (
    <svg
      className="mt-2 block h-[70px] max-w-full"
      viewBox={`${-AROUND} ${-AROUND} ${length + 2 * AROUND} ${width + 2 * AROUND}`}
      aria-label={`${template.name} small`}
    >
      {loopsOf(template.outline).map((loop, i) => (
        <path
          key={i}
          d={pathOf(loop, (y) => width - y)}
          fill="none"
          stroke="#000"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  );
}

/** One sheet of it at full size: the line, the one it is sawn to, where the sheet meets its neighbours. */
function Sheet({ template, page, level }: { template: Template; page: Page; level: boolean }) {
  const { x, y: low, length, width, column, row } = page;
  const high = low + width;
  const y = (value: number) => high - value;
  const [outer, ...holes] = loopsOf(template.outline);
  const corner = (a: number, b: number) => `M${a - 4} ${b}H${a + 4}M${a} ${b - 4}V${b + 4}`;
  return (
    <svg
      className="mt-3 block break-inside-avoid"
      data-page={`${column}-${row}`}
      // paper lies upright: what is longer than it is wide is turned on it
      width={`${level ? width : length}mm`}
      height={`${level ? length : width}mm`}
      viewBox={level ? `0 0 ${width} ${length}` : `${x} 0 ${length} ${width}`}
      aria-label={`Sheet ${column} along, ${row} across`}
    >
      <g fill="none" stroke="#000" transform={level ? `translate(${width} ${-x}) rotate(90)` : undefined}>
        {[outer, ...holes].map((loop, i) => (
          <path key={i} d={pathOf(loop, y)} strokeWidth={0.25} />
        ))}
        <path d={pathOf(outside(outer, SAW_OUTSIDE), y)} strokeWidth={0.2} strokeDasharray="2 1.5" />
        {template.half && (
          <path
            d={`M${template.size.length} ${y(-AROUND)}V${y(template.size.width + AROUND)}`}
            strokeWidth={0.2}
            strokeDasharray="6 1.5 1 1.5"
          />
        )}
        <path
          d={[corner(x, 0), corner(x + length, 0), corner(x, width), corner(x + length, width)].join("")}
          strokeWidth={0.15}
        />
      </g>
      <text x={level ? 6 : x + 6} y={6} fontSize={3}>
        {template.name}, sheet {column} along, {row} across
      </text>
    </svg>
  );
}
