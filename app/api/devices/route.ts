import { askDevice } from "./ask";
import { route } from "../answer";

/** The devices on the bench. */
export const GET = route(() => askDevice("/"));
