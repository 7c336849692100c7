/** The head of a leg that leans, under what bears the top: loose tenons straight up from its level cut. */
import type { TenonChoice } from "../piece/base-choices";
import type { Shop } from "../piece/shop";
import { BlindTenon, blindTenon, Meets, TENON } from "./blind-tenon";

interface LevelHead {
  meets: Meets;
  setting: TenonChoice;
  shop: Shop;
  /** of the level cut along its lean, and across it, mm */
  level: number;
  thickness: number;
  into: { depth: number; thickness: number };
  /** how far the leg leans from upright, degrees */
  lean: number;
}

/**
 * One at the middle of the head, as deep as the sloping edge beside it leaves wood; of those that the shop owns the one that glues most.
 *
 * @returns a joint whose walls count the one beside the slot, at its bottom
 */
export function levelHead({ meets, setting, shop, level, thickness: across, into, lean }: LevelHead): BlindTenon {
  const radians = (lean * Math.PI) / 180;
  const slope = Math.abs(Math.tan(radians));
  const upright = Math.cos(radians);
  const sized = (thickness: number | null): BlindTenon => {
    const inputs = {
      ...{ meets, shop, pushed: true, setting: { ...setting, thickness, tenons: setting.tenons ?? 1 } },
      ...{ section: { width: level, thickness: across }, into },
    };
    const end = blindTenon(inputs).shoulders.end;
    // the edge comes in by so much for every mm down, and a wall is to stay
    const most = slope < 1e-6 ? Infinity : (end - TENON.wall) / slope - TENON.mortiseDeeper;
    return blindTenon({ ...inputs, most: Math.max(1, Math.floor(most)) });
  };
  const owned = shop.looseTenons.map(({ thickness }) => thickness).filter((size) => size <= across / 3);
  const tried = setting.thickness !== null || setting.kind !== "loose" ? [setting.thickness] : [null, ...owned];
  const joint = tried.map(sized).reduce((a, b) => (b.glueArea > a.glueArea ? b : a));
  return {
    ...joint,
    walls: [
      ...joint.walls,
      {
        where: "beside its slot, at the slot’s bottom",
        left: (joint.shoulders.end - slope * joint.mortiseDepth) * upright,
        ...{ good: TENON.wall * upright, least: TENON.wallLeast * upright },
      },
    ],
  };
}
