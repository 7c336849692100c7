import { pool } from "../../../store/database";
import { route } from "../answer";

/** Whether Taller and its database answer. */
export const GET = route(async () => {
  await pool().query("select 1");
  return Response.json({});
});
