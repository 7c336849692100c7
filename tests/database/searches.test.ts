import { spawn } from "node:child_process";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { Cut, searchCuts, SearchInputs } from "../../core/layout/search";
import { freshPiece } from "../../core/piece/fresh";
import { USUAL_SHOP } from "../../core/piece/shop";
import { randomCutting } from "../../core/testing/cutting-model";
import { pool } from "../../store/database";
import { jobOf, openJob, reportJob, stopJob, takeJob } from "../../store/jobs";
import { migrate } from "../../store/migrate";
import { addPiece } from "../../store/new-pieces";
import { addWorkshop } from "../../store/workshops";
import { runSearches } from "../../workers/run-searches";

const DAY = "2026-11-23";
beforeAll(async () => {
  process.env.DATABASE_URL = inject("databaseUrl");
  await migrate(process.env.DATABASE_URL);
});
afterAll(() => pool().end());

describe("searches on the server", () => {
  const inputs: SearchInputs = {
    ...randomCutting(5),
    taken: [],
    shop: USUAL_SHOP,
    sequence: "least-waste",
    seed: 1,
    rounds: 5,
  };
  const make = async () => {
    const shop = await addWorkshop("Jobs", USUAL_SHOP);
    return { shop, piece: await addPiece(shop, freshPiece("Table", DAY)) };
  };
  const whole: Cut = [...searchCuts(inputs)].at(-1)!;

  it("a runner that is killed in mid-search loses nothing: the next goes on and finds the same", async () => {
    const { shop, piece } = await make();
    await openJob(shop, piece, inputs);
    const taken = (await takeJob())!;
    let rounds = 0;
    for (const cut of searchCuts(taken.inputs)) {
      await reportJob(taken, cut);
      rounds += 1;
      if (rounds === 2) break;
    }
    // killed here: it never reports again, and its hold runs out
    expect(await takeJob()).toBeNull();
    await pool().query("update search_job set lease_until = now() - interval '1 second' where id = $1", [taken.id]);
    let stop = false;
    await runSearches(
      {
        take: async () => {
          const job = await takeJob();
          if (!job) stop = true;
          return job;
        },
        report: reportJob,
      },
      () => stop,
    );
    const job = (await jobOf(shop, piece))!;
    expect(job.state).toBe("done");
    expect(job.best).toEqual(JSON.parse(JSON.stringify(whole)));
  });
  it("a runner that was taken for dead and comes back is told that another has the job", async () => {
    const { shop, piece } = await make();
    const id = await openJob(shop, piece, inputs);
    const first = (await takeJob())!;
    await pool().query("update search_job set lease_until = now() - interval '1 second' where id = $1", [id]);
    const second = (await takeJob())!;
    const [early, late] = [...searchCuts({ ...inputs, rounds: 3 })];
    expect(await reportJob(second, late)).toBe(true);
    expect(await reportJob(first, early)).toBe(false);
    expect(await jobOf(shop, piece)).toMatchObject({ state: "running", best: { round: 2 } });
    await stopJob(shop, piece);
  });
  it("the runner's process is killed in mid-search; another process goes on and finds what an unbroken search finds", async () => {
    const { shop, piece } = await make();
    const long: SearchInputs = { ...inputs, ...randomCutting(2), rounds: 40 };
    const start = () =>
      spawn(process.execPath, ["bin/run.mjs", "bin/runner.ts"], {
        env: { ...process.env, DATABASE_URL: inject("databaseUrl") },
        stdio: "ignore",
      });
    const reached = async (enough: (job: NonNullable<Awaited<ReturnType<typeof jobOf>>>) => boolean) => {
      for (let n = 0; n < 600; n += 1) {
        const job = await jobOf(shop, piece);
        if (job && enough(job)) return job;
        await new Promise((resolve) => setTimeout(resolve, 50));
      }
      throw new Error(`The job stands at ${JSON.stringify(await jobOf(shop, piece)).slice(0, 200)}`);
    };
    await openJob(shop, piece, long);
    const first = start();
    const second = await reached((job) => (job.best?.round ?? 0) >= 3).then((job) => {
      first.kill("SIGKILL");
      expect(job.best!.round).toBeLessThan(40);
      return start();
    });
    try {
      const done = await reached((job) => job.state === "done");
      expect(done.best).toEqual(JSON.parse(JSON.stringify([...searchCuts(long)].at(-1))));
    } finally {
      second.kill("SIGKILL");
    }
  });
  it("two runners never take one job", async () => {
    const { shop, piece } = await make();
    await openJob(shop, piece, inputs);
    const taken = await Promise.all(Array.from({ length: 6 }, () => takeJob()));
    expect(taken.filter((each) => each !== null)).toHaveLength(1);
  });
  it("stopped, it keeps the best so far, and its runner is told", async () => {
    const { shop, piece } = await make();
    await openJob(shop, piece, inputs);
    const taken = (await takeJob())!;
    const [first, second] = [...searchCuts({ ...inputs, rounds: 2 })];
    expect(await reportJob(taken, first)).toBe(true);
    await stopJob(shop, piece);
    expect(await reportJob(taken, second)).toBe(false);
    expect(await jobOf(shop, piece)).toMatchObject({ state: "stopped", best: { round: 1 } });
  });
  it("one that kills every runner is given up with a sentence", async () => {
    const { shop, piece } = await make();
    const id = await openJob(shop, piece, inputs);
    for (let n = 0; n < 5; n += 1) {
      expect((await takeJob())!.id).toBe(id);
      await pool().query("update search_job set lease_until = now() - interval '1 second' where id = $1", [id]);
    }
    expect(await takeJob()).toBeNull();
    expect(await jobOf(shop, piece)).toMatchObject({
      state: "failed",
      message: expect.stringMatching(/stopped 5 times/),
    });
  });
});
