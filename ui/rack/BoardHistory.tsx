import Link from "next/link";
import { dayName } from "../frame/sentences";

export interface HistoryLine {
  at: string;
  kind: string;
  body: { piece?: string; from?: string; pieces?: string[]; offcuts?: string[]; merchant?: string; paid?: number };
  pieceName: string | null;
}

/** What has happened to a board, from the day it came. */
export function BoardHistory({ history }: { history: readonly HistoryLine[] }) {
  return (
    <section aria-label="History">
      <h2>History</h2>
      {history.length === 0 ? (
        <p className="lede mt-1">Nothing yet: it begins when the board is put on the rack.</p>
      ) : (
        <ol className="mt-1">
          {history.map((each, i) => (
            <li key={i} className="flex gap-4 border-b border-hairline py-1 text-[13.5px]">
              <span className="w-36 shrink-0 text-graphite">{dayName(each.at.slice(0, 10))}</span>
              <span>{told(each)}</span>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

function told({ kind, body, pieceName }: HistoryLine) {
  const name = pieceName ?? "a piece that is gone";
  switch (kind) {
    case "added":
      return "Put on the rack.";
    case "bought":
      return `Bought${body.merchant ? ` from ${body.merchant}` : ""}${body.paid ? ` for ${body.paid}` : ""}.`;
    case "changed":
      return "Its record was changed.";
    case "reserved":
      return `Reserved for ${name}.`;
    case "released":
      return `No longer reserved for ${name}.`;
    case "offcut":
      return (
        <>
          Left over from{" "}
          <Link className="text-layout underline" href={`/rack/${body.from}`}>
            {body.from}
          </Link>
          , sawn for {name}.
        </>
      );
    case "cut":
      return (
        <>
          Sawn for {name}
          {body.pieces?.length ? ` into ${body.pieces.join(", ")}` : ""}
          {body.offcuts?.length ? (
            <>
              ; left:{" "}
              {body.offcuts.map((id, i) => (
                <span key={id}>
                  {i > 0 && ", "}
                  <Link className="text-layout underline" href={`/rack/${id}`}>
                    {id}
                  </Link>
                </span>
              ))}
            </>
          ) : (
            "; nothing worth keeping is left"
          )}
          .
        </>
      );
    case "put together again":
      return `The cut for ${name} was taken back.`;
    default:
      return "Taken off the rack.";
  }
}
