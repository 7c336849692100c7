"use client";
import { Dialog } from "radix-ui";
import { useRouter } from "next/navigation";
import { useEffect, useMemo, useState } from "react";
import { ask } from "../frame/ask";
import { Key } from "../frame/TopBar";
import { isTyping } from "../frame/unit";

export interface Findable {
  name: string;
  kind: string;
  go: string | (() => void);
}

const NONE: readonly Findable[] = [];

interface Given {
  /** what is known at once */
  more?: readonly Findable[];
  /** what is found out while the list is open: it stands below */
  later?: readonly Findable[];
  onOpen?: (open: boolean) => void;
}

/** `/` finds any piece, board, part or command. */
export function FindAnything({ more = NONE, later = NONE, onOpen }: Given) {
  const [open, setOpen] = useState(false);
  useEffect(() => onOpen?.(open), [open, onOpen]);
  const [typed, setTyped] = useState("");
  const [at, setAt] = useState(0);
  const router = useRouter();
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key === "/" && !isTyping(event)) {
        event.preventDefault();
        setTyped("");
        setAt(0);
        setOpen(true);
      }
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);
  // pieces and boards are asked of the server: there may be too many to carry about
  const [asked, setAsked] = useState<Findable[]>([]);
  useEffect(() => {
    const word = typed.trim().slice(0, 60);
    if (!open || word === "") {
      setAsked([]);
      return undefined;
    }
    let left = false;
    const timer = setTimeout(
      () =>
        void lookFor(word).then((found) => {
          if (!left) setAsked(found);
        }),
      150,
    );
    return () => {
      left = true;
      clearTimeout(timer);
    };
  }, [typed, open]);
  const found = useMemo(() => {
    const all: Findable[] = [
      ...more,
      { name: "Bench", kind: "place", go: "/" },
      { name: "Rack", kind: "place", go: "/rack" },
      { name: "Species", kind: "place", go: "/species" },
      { name: "Shop and its tools", kind: "place", go: "/shop" },
      { name: "Sources: every formula", kind: "place", go: "/sources" },
    ];
    const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
    const wanted = (each: Findable) => words.every((word) => `${each.name} ${each.kind}`.toLowerCase().includes(word));
    const known = all.filter(wanted);
    // what is known at once stays on top: a list that turns under a finger on Enter opens the wrong thing
    return [
      ...known,
      ...later.filter(wanted),
      ...asked.filter((each) => !known.some((one) => one.kind === each.kind && one.name === each.name)),
    ].slice(0, 12);
  }, [typed, more, later, asked]);
  const go = (each: Findable | undefined) => {
    if (!each) return;
    setOpen(false);
    if (typeof each.go === "string") router.push(each.go);
    else each.go();
  };
  return (
    <>
      <button className="flex h-8 items-center hover:text-white max-md:hidden" onClick={() => setOpen(true)}>
        <Key>/</Key>Find anything
      </button>
      <Dialog.Root open={open} onOpenChange={setOpen}>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-40 bg-[#14201c55]" />
          <Dialog.Content
            aria-describedby={undefined}
            className="fixed top-24 left-1/2 z-50 w-[560px] max-w-[94vw] -translate-x-1/2 border border-hairline bg-sheet p-4"
          >
            <Dialog.Title className="sr-only">Find anything</Dialog.Title>
            <input
              className="input w-full text-[15px]"
              placeholder="A piece, a board, a part, something to do"
              value={typed}
              onChange={(event) => {
                setTyped(event.target.value);
                setAt(0);
              }}
              aria-label="Find"
              onKeyDown={(event) => {
                if (event.key === "ArrowDown") {
                  event.preventDefault();
                  setAt(Math.min(found.length - 1, at + 1));
                }
                if (event.key === "ArrowUp") {
                  event.preventDefault();
                  setAt(Math.max(0, at - 1));
                }
                if (event.key === "Enter") go(found[at]);
              }}
            />
            <ul className="mt-2">
              {found.map((each, i) => (
                <li key={`${each.kind} ${each.name} ${i}`}>
                  <button
                    className={`flex min-h-8 w-full justify-between px-2 py-1 text-left ${i === at ? "bg-wash" : "hover:bg-film"}`}
                    onClick={() => go(each)}
                  >
                    <span>{each.name}</span>
                    <span className="text-[13px] text-graphite">{each.kind}</span>
                  </button>
                </li>
              ))}
            </ul>
            {found.length === 0 && <p className="lede p-2">Nothing is called “{typed}”.</p>}
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </>
  );
}

/** Words that say what is looked for. */
const KINDS = ["piece", "board"] as const;
const NOTHING = { ok: false } as const;

/** Pieces and boards whose names hold a word, a few of each; none while the server does not answer. */
async function lookFor(typed: string): Promise<Findable[]> {
  const words = typed.split(/\s+/).filter((each) => each !== "");
  const only = words.length > 1 ? KINDS.find((kind) => words.includes(kind)) : undefined;
  const word = words.filter((each) => each !== only).join(" ");
  const [pieces, boards] = await Promise.all([
    only === "board"
      ? NOTHING
      : ask<{ pieces: { id: string; name: string; commission: string }[] }>(
          "GET",
          `/api/pieces/find?text=${encodeURIComponent(word)}`,
        ),
    only === "piece"
      ? NOTHING
      : ask<{ boards: { id: string }[] }>("GET", `/api/rack/page?text=${encodeURIComponent(word)}`),
  ]);
  return [
    ...(pieces.ok
      ? pieces.json.pieces.map((piece) => ({
          name: piece.commission ? `${piece.name}, ${piece.commission}` : piece.name,
          kind: "piece",
          go: `/pieces/${piece.id}/brief`,
        }))
      : []),
    ...(boards.ok
      ? boards.json.boards
          .slice(0, 8)
          .map(({ id }) => ({ name: id, kind: "board", go: `/rack/${encodeURIComponent(id)}` }))
      : []),
  ];
}
