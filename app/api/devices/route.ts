import { askDevice } from "./ask";

/** The devices on the bench. */
export const GET = () => askDevice("/");
