// npm run devices: three simulated instruments of a bench on loopback, spoken to as docs/devices.md has it.
// A moisture meter, a caliper and a thermo-hygrometer logger; every reading is made from the clock and a seed, so that it looks like a shop's.
import { createServer } from "node:http";
import { pathToFileURL } from "node:url";

export const DEVICES_PORT = 7377;
export const PROTOCOL = "taller-bench/1";
const DEVICES = [
  { id: "meter", name: "Moisture meter, pins", measures: "moisture", unit: "%" },
  { id: "caliper", name: "Long caliper", measures: "width", unit: "mm" },
  { id: "logger", name: "Thermo-hygrometer logger", measures: "air", unit: "%" },
];

/** Air of the simulated room on a day of the year: damp summers, dry winters, a daily swing. */
function air(at) {
  const day = (at - Date.UTC(2026, 0, 1)) / 86400000;
  const season = Math.cos((2 * Math.PI * (day - 213)) / 365);
  const hour = Math.sin(2 * Math.PI * (day % 1) - 2);
  return {
    temperature: 20.5 + 2 * season + 0.8 * hour + 0.2 * noise(at),
    humidity: 47 + 12 * season - 2 * hour + 0.8 * noise(at + 7),
  };
}
/** −1 to 1, the same for the same moment. */
function noise(at) {
  const x = Math.sin(Math.floor(at / 60000) * 12.9898) * 43758.5453;
  return 2 * (x - Math.floor(x)) - 1;
}
const round = (n, to) => Math.round(n / to) * to;
const fixed = (n, digits) => Number(n.toFixed(digits));

/** What a device answers; `query` is the simulation's own. Null when there is no such device or question. */
export function answer(path, query, now) {
  if (path === "/") return { json: { protocol: PROTOCOL, simulated: true, devices: DEVICES } };
  const at = new Date(now).toISOString();
  const { temperature, humidity } = air(now);
  if (path === "/meter/reading")
    return {
      json: {
        device: "meter",
        at,
        value: fixed(3.6 + humidity * 0.105 + 0.3 * noise(now), 1),
        unit: "%",
        temperature: fixed(temperature, 1),
        scale: "douglas-fir",
      },
    };
  if (path === "/caliper/reading") {
    const near = Number(query.get("near") ?? 300);
    return {
      json: {
        device: "caliper",
        at,
        value: fixed(round(near * (1 + (0.0003 * (humidity - 47)) / 6) + 0.05 * noise(now), 0.05), 2),
        unit: "mm",
      },
    };
  }
  if (path === "/logger/reading")
    return { json: { device: "logger", at, value: fixed(humidity, 1), unit: "%", temperature: fixed(temperature, 1) } };
  if (path === "/logger/log.csv") {
    const days = Math.min(800, Math.max(1, Number(query.get("days") ?? 400)));
    const every = Math.min(1440, Math.max(10, Number(query.get("minutes") ?? 180)));
    const lines = ["Date,Temperature °C,Humidity %"];
    for (let t = now - days * 86400000; t <= now; t += every * 60000) {
      const then = air(t);
      lines.push(
        `${new Date(t).toISOString().slice(0, 16).replace("T", " ")},${then.temperature.toFixed(1)},${then.humidity.toFixed(1)}`,
      );
    }
    return { csv: `${lines.join("\r\n")}\r\n` };
  }
  return null;
}

export function serveDevices(port = DEVICES_PORT) {
  const server = createServer((request, response) => {
    const url = new URL(request.url ?? "/", "http://127.0.0.1");
    const found = request.method === "GET" ? answer(url.pathname, url.searchParams, Date.now()) : null;
    if (!found) {
      response
        .writeHead(404, { "content-type": "application/json" })
        .end(JSON.stringify({ message: `No device answers ${request.method} ${url.pathname}. GET / lists them.` }));
      return;
    }
    if (found.csv) response.writeHead(200, { "content-type": "text/csv; charset=utf-8" }).end(found.csv);
    else response.writeHead(200, { "content-type": "application/json" }).end(JSON.stringify(found.json));
  });
  return new Promise((resolve, reject) =>
    server.once("error", reject).listen(port, "127.0.0.1", () => resolve(server)),
  );
}

if (process.argv[1] && import.meta.url === pathToFileURL(process.argv[1]).href) {
  await serveDevices();
  console.log(`Simulated bench devices answer at http://127.0.0.1:${DEVICES_PORT}  (Ctrl C stops them)`);
}
