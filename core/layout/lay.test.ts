import { describe, expect, it } from "vitest";
import { panelScene } from "../drawing/boards";
import { USUAL_SHOP } from "../piece/shop";
import { demoBoard } from "../testing/boards";
import { at, planOf, plainRack, strips, tableWith } from "../testing/plans";
import { jointLines } from "./candidates";
import { laidAs, slideBy, stripCuts } from "./lay";

const ids = ["B1", "B2", "B3", "B4", "B5", "B6", "B7"];
const laidOut = (rack = plainRack(), change = {}) => {
  const piece = tableWith(
    at(
      "panels.top.strips",
      strips(...ids).map((each) => (each.board === "B3" ? { ...each, ...change } : each)),
    ),
  );
  return { piece, plan: planOf(piece, rack) };
};

describe("a board slid along the panel", () => {
  const { plan } = laidOut();
  const one = plan.panel.laid[2];
  const room = one.board.length - one.length - USUAL_SHOP.lengthAllowance;
  it("pulled to the right it is cut nearer its left end, turned end for end the other way round", () => {
    const middle = { ...one, strip: { ...one.strip, slide: room / 2 } };
    expect(slideBy(middle, 40, USUAL_SHOP)).toBeCloseTo(room / 2 - 40, -1);
    expect(slideBy({ ...middle, strip: { ...middle.strip, turned: true } }, 40, USUAL_SHOP)).toBeCloseTo(
      room / 2 + 40,
      -1,
    );
  });
  it("never leaves the board, however far it is pulled", () => {
    expect(slideBy(one, 9000, USUAL_SHOP)).toBe(0);
    expect(slideBy(one, -9000, USUAL_SHOP)).toBe(room);
  });
  it("a hand that trembles moves nothing", () =>
    expect(slideBy({ ...one, strip: { ...one.strip, slide: 13 } }, 3, USUAL_SHOP)).toBe(13));
});

it("boards in another order lie side by side without a gap, as the plan would lay them", () => {
  const { piece, plan } = laidOut();
  const order = [...piece.panels.top.strips].reverse();
  const laid = laidAs(plan.panel.laid, order, piece.form.top, plan.geometry);
  expect(laid).toEqual(planOf(tableWith(at("panels.top.strips", order))).panel.laid);
  laid.slice(1).forEach((each, i) => expect(each.from).toBeCloseTo(laid[i].from + laid[i].width, 9));
});

describe("a defect on a strip", () => {
  const knot = { kind: "knot" as const, x: 900, y: 20, length: 40, width: 30 };
  const rack = plainRack().map((board) =>
    board.id === "B3" ? demoBoard({ ...board, length: 2400, defects: [knot] }) : board,
  );
  // a place where the search would not put it, so that the knot stays in
  const drawn = (change: object) => {
    const { piece, plan } = laidOut(rack, { slide: 20, ...change });
    return {
      laid: plan.panel.laid[2],
      circle: panelScene(plan, piece, USUAL_SHOP).items.find((item) => item.kind === "circle") as {
        x: number;
        y: number;
      },
    };
  };
  const [cx, cy] = [knot.x + knot.length / 2, knot.y + knot.width / 2];
  const kept = 20 + USUAL_SHOP.lengthAllowance / 2;

  it("lies where it is on the board", () => {
    const { laid, circle } = drawn({ face: "bark-up" });
    expect(circle.x).toBeCloseTo(laid.at + cx - kept, 6);
    expect(circle.y).toBeCloseTo(laid.from + cy - USUAL_SHOP.jointing, 6);
  });
  it("flipped it changes edges, turned it changes ends and edges, both: ends only", () => {
    const [up, down, turned, both] = [
      drawn({ face: "bark-up" }),
      drawn({ face: "bark-down" }),
      drawn({ face: "bark-up", turned: true }),
      drawn({ face: "bark-down", turned: true }),
    ];
    const { laid } = up;
    const mirroredY = 2 * laid.from + laid.width - up.circle.y;
    const mirroredX = 2 * laid.at + laid.length - up.circle.x;
    expect([down.circle.x, down.circle.y]).toEqual([up.circle.x, expect.closeTo(mirroredY, 6)]);
    expect([turned.circle.x, turned.circle.y]).toEqual([expect.closeTo(mirroredX, 6), expect.closeTo(mirroredY, 6)]);
    expect([both.circle.x, both.circle.y]).toEqual([expect.closeTo(mirroredX, 6), up.circle.y]);
  });
  it("that the strip is ripped beside is not in the top, and the cut says where on the board the strip lies", () => {
    const low = plainRack().map((board) =>
      board.id === "B3" ? demoBoard({ ...board, length: 2100 + 45, width: 180, defects: [{ ...knot, y: 5 }] }) : board,
    );
    const piece = tableWith(at("form.top.length", 2100), at("panels.top.strips", strips(...ids)));
    const plan = planOf(piece, low);
    const laid = plan.panel.laid[2];
    expect(laid.across).toBe(35);
    expect(stripCuts([laid], USUAL_SHOP)[0]).toMatchObject({ y: 35, width: laid.full + 2 * USUAL_SHOP.jointing });
    expect(panelScene(plan, piece, USUAL_SHOP).items.some((item) => item.kind === "circle")).toBe(false);
    expect(
      jointLines(
        plan.panel.laid.map((each) => each.full),
        plan.geometry.core.width,
      ),
    ).toHaveLength(6);
  });
});
