import * as v from "valibot";
import { MERCHANT, merchantStock } from "../../../../../core/buying/merchant";
import { readPriceList } from "../../../../../core/buying/price-list";
import { proposePurchase, strips } from "../../../../../core/buying/propose";
import { addDays } from "../../../../../core/movement/course";
import { text } from "../../../../../core/piece/fields";
import { planPiece } from "../../../../../core/plan";
import { SPECIES } from "../../../../../core/wood/species";
import { usedWoods } from "../../../../../core/wood/woods";
import { savedInputs } from "../../../../../store/inputs";
import {
  ordersOf,
  placeOrder,
  priceListOf,
  receiveDue,
  receiveOrder,
  savePriceList,
  soldBy,
} from "../../../../../store/orders";
import { openPiece } from "../../../../../store/opened-pieces";
import { currentWorkshop } from "../../../../../store/workshops";
import { isId, isoToday, noPiece, readJson, refuse, refuseFault, route } from "../../../answer";

const asked = v.variant("kind", [
  v.object({ kind: v.literal("look") }),
  v.object({
    kind: v.literal("order"),
    boards: v.pipe(v.array(text("board", 40)), v.minLength(1, "Choose at least one board."), v.maxLength(200)),
  }),
  v.object({ kind: v.literal("receive"), order: v.pipe(v.string(), v.uuid()) }),
  v.object({ kind: v.literal("prices"), text: v.string() }),
]);

/** What the piece lacks, what the simulated merchant has for it, orders and their arrival. Every answer is the whole state of buying. */
export const POST = route(async (request: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  if (!isId(id)) return noPiece();
  const body = await readJson(request, 1_500_000);
  if (!body.ok) return body.answer;
  const read = v.safeParse(asked, body.json);
  if (!read.success) return refuseFault(asked, body.json);
  const workshop = await currentWorkshop();
  const today = isoToday();
  if (!(await openPiece(workshop.id, id))) return noPiece();
  let faults: { line: number; message: string }[] = [];
  const given = read.output;
  if (given.kind === "prices") {
    const list = readPriceList(given.text, [...workshop.ownSpecies, ...SPECIES], workshop.shop.currency);
    faults = list.faults.slice(0, 50);
    if (list.prices.length > 0) await savePriceList(workshop.id, list.prices);
  }
  if (given.kind === "receive" && !(await receiveOrder(workshop.id, given.order)))
    return refuse("This order is on the rack already.", 409);
  const came = (await receiveDue(workshop.id, today)) + (given.kind === "receive" ? 1 : 0);
  const saved = await savedInputs(workshop, id, today);
  if (!saved) return noPiece();
  const { inputs } = saved;
  const plan = planPiece(inputs);
  const woods = usedWoods(plan.woods, plan.species);
  const stockOf = (sold: Awaited<ReturnType<typeof soldBy>>) =>
    woods.flatMap((species) => merchantStock(species, today, sold));
  const stock = stockOf(await soldBy(workshop.id, MERCHANT.name));
  if (given.kind === "order") {
    const wanted = stock.filter((board) => given.boards.includes(board.id));
    if (wanted.length < given.boards.length)
      return refuse("The merchant has sold one of these boards meanwhile. Look at its stock again.", 409);
    const order = await placeOrder(workshop.id, {
      piece: id,
      merchant: MERCHANT.name,
      boards: wanted,
      total: wanted.reduce((sum, board) => sum + board.price, 0),
      currency: MERCHANT.currency,
      orderedOn: today,
      dueOn: addDays(today, MERCHANT.deliveryDays),
    });
    if (!order) return refuse("The merchant has sold one of these boards meanwhile. Look at its stock again.", 409);
  }
  const orders = await ordersOf(workshop.id);
  const open = orders.filter((order) => !order.received && order.piece === id);
  // boards on their way count as if they stood on the rack already
  const coming =
    open.length === 0
      ? plan
      : planPiece({
          ...inputs,
          rack: [
            ...inputs.rack,
            ...open
              .flatMap((order) => order.boards)
              .filter((board) => woods.some((wood) => wood.id === board.species))
              .map((board) => ({ ...board, reservedBy: null })),
          ],
        });
  const offered = coming.panel.candidates.reduce((sum, each) => sum + each.width, 0);
  const have = plan.panel.laid.length > 0 ? plan.panel.laid.reduce((sum, each) => sum + each.full, 0) : offered;
  const needed = [
    ...coming.cutting.missing,
    ...(plan.geometry.core.count === 1 ? strips(plan.geometry.core, have, workshop.shop, plan.species.id) : []),
  ];
  const left = stockOf(await soldBy(workshop.id, MERCHANT.name));
  return Response.json({
    merchant: MERCHANT,
    faults,
    came,
    orders: orders.filter((order) => order.piece === id),
    prices: await priceListOf(workshop.id),
    currency: workshop.shop.currency,
    needed: needed.map((piece) => ({
      label: piece.label,
      length: piece.length,
      width: piece.width,
      thickness: piece.thickness,
    })),
    purchase: needed.length > 0 ? proposePurchase(needed, left, workshop.shop) : null,
    dueOn: addDays(today, MERCHANT.deliveryDays),
  });
});
