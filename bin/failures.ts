// npm run failures: what failed in plans on this shop's data, each with what it takes to repeat it, as JSON lines; --clear forgets them.
import { pool } from "../store/database";
import { failuresOf } from "../store/summaries";
import { demoFolder, startCluster } from "./cluster.mjs";
import { checkout } from "./install.mjs";

process.env.DATABASE_URL ??= await startCluster(demoFolder(checkout));
for (const { id } of (await pool().query<{ id: string }>("select id from workshop")).rows)
  for (const failure of await failuresOf(id)) console.log(JSON.stringify(failure));
if (process.argv.includes("--clear")) await pool().query("delete from plan_failure");
await pool().end();
