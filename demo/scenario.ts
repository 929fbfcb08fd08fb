import { seededRandom } from "../core/practice";
import { carriageFound, carriageSet } from "./carriage";
import { reducerClosure, ringClosures, ringErrors } from "./closures";
import { gearboxApart, gearboxGuide } from "./gearbox";
import { planActs } from "./plan";
import { proofPlanActs } from "./proof-plans";
import { couplingRight, framePullsIn } from "./put-right";
import { feedShaft, feedShaftFitted, feedShaftFound, motorShaft } from "./shafts";
import { pluckedRounds, reTensioned } from "./strands";
import { symptomActs } from "./symptoms";
import type { DemoMachine, DemoStage } from "./types";
import { upkeepActs } from "./upkeep";
import { type Act, Visits } from "./visits";
import { machines } from "./works";

export type { Act } from "./visits";

const day = 86_400_000;

/** Two years of work before `now`, oldest first. */
export function scenario(now: Date): Act[] {
  const random = seededRandom(1887);
  const machine = (key: string) => machines.find((item) => item.key === key) as DemoMachine;
  const on = (machineKey: string, stageKey: string) => {
    const stage = machine(machineKey).stages.find((item) => item.key === stageKey) as DemoStage;
    return new Visits(machine(machineKey), stage, now, random);
  };
  const visits = [
    anvil(on("die-cutter", "anvil")),
    cutter(on("die-cutter", "cutter")),
    cam(on("feeder", "cam")),
    register(on("feeder", "register")),
    fold(on("gluer", "fold")),
    delivery(on("gluer", "delivery")),
    knife(on("slitter", "knife")),
    rewind(on("slitter", "rewind")),
    sector(on("table", "sector")),
    feed(on("strapper", "feed")),
    ...newer.map(([machineKey, stageKey, visit]) => visit(on(machineKey, stageKey))),
  ];
  return [
    ...visits.flatMap((v) => v.acts),
    ...machines.flatMap((item) => meterReadings(item, now)),
    ...upkeepActs(now),
    ...proofPlanActs(now),
    ...symptomActs(now),
    ...planActs(now),
  ].sort((a, b) => a.at.getTime() - b.at.getTime());
}

/** Closes slowly; squeals today, with the job half done. */
function anvil(v: Visits): Visits {
  v.look(690, "First reading of the new log");
  v.drift(-0.075);
  v.whole(598, "Squeals when cold", { temperature: 18 });
  v.drift(-0.03).look(470, "Routine, after 1 700 hours");
  v.drift(-0.045).whole(333, "New jack screw fitted", { temperature: 21 });
  v.drift(0.06).whole(201, "Growl at working speed", { temperature: 24 });
  v.drift(0.065).whole(54, "Routine, after 600 hours", { temperature: 22 });
  v.drift(-0.125).halfDone("Squeals once a turn since Monday");
  return v;
}

/** Opens slowly; one check round was read on the wrong gear and corrected. */
function cutter(v: Visits): Visits {
  v.drift(0.03).whole(640, "Plate replaced", { temperature: 20 });
  v.drift(0.02).look(508, "Routine");
  v.drift(0.02).look(389, "Routine");
  v.drift(0.015).whole(266, "Rattles at start", { temperature: 23 });
  v.drift(0.02).look(176, "Routine");
  v.drift(0.02).withMistake(88, "Routine, with the anvil drive");
  return v;
}

/** Its gear is not round: no setting holds it. */
function cam(v: Visits): Visits {
  v.readOnly(
    97,
    "Knock once a turn",
    "The gear runs out about a quarter of a millimetre. No setting will hold it; new gear asked for.",
  );
  v.say(96, "Brass gear for the cam drive, 68 teeth, on order");
  v.whole(33, "Set for the tight spot until the new gear comes", { temperature: 23, undressed: true });
  return v;
}

/** Kept by quick looks and by feel between the rounds. */
function register(v: Visits): Visits {
  v.whole(610, "Motor changed", { temperature: 21 });
  v.felt(520, "Quick look", "by hand", [
    "small click",
    "small click",
    "faint click",
    "faint click",
    "small click",
    "small click",
  ]);
  v.drift(0.012).look(420, "Routine");
  v.drift(0.014).look(300, "Routine");
  v.felt(214, "Quick look", "paper strip", [
    "small click",
    "small click",
    "loose click",
    "loose click",
    "small click",
    "small click",
  ]);
  v.options(172, [
    {
      name: "Pinion of 21 as now",
      motorRpm: 930,
      ratio: -3,
      wheelDiameterMm: 95,
      motorTorqueNm: 4.2,
      efficiency: 0.98,
      noise: "even hum",
      room: "as it stands",
      service: "pinion in ten minutes",
      measuredRpm: 308,
      outcome: "chosen",
      why: "Steel pinion, hardened: the rest was not it",
    },
    {
      name: "Toothed belt",
      motorRpm: 930,
      ratio: 3,
      wheelDiameterMm: 95,
      motorTorqueNm: 4.2,
      efficiency: 0.96,
      price: 61,
      noise: "quieter",
      room: "140 × 60 × 30 mm",
      effort: "new plate, half a day",
      service: "belt every two years",
      outcome: "lost",
      why: "The register creeps with the belt's stretch at every start",
    },
  ]);
  v.drift(0.012).exchanged(160, "Pinion worn hooked", "Gear m 1.5 z 21", 63.15);
  v.drift(0.008).look(41, "Routine");
  return v;
}

/** Opens steadily; drifts out within weeks. */
function fold(v: Visits): Visits {
  v.drift(-0.01).whole(655, "Fitted after overhaul", { temperature: 20, firstBuild: true });
  v.drift(0.019).look(560, "Routine");
  v.drift(0.021).look(470, "Routine");
  v.drift(0.026).whole(365, "Routine, set back", { temperature: 21 });
  v.drift(0.019).look(276, "Routine");
  v.drift(0.02).look(186, "Routine");
  v.drift(0.021).look(92, "Routine");
  v.drift(0.018).look(12, "Routine");
  return v;
}

function delivery(v: Visits): Visits {
  v.whole(577, "Bearing replaced", { temperature: 22 });
  v.drift(0.008).look(402, "Routine");
  v.drift(0.01).look(231, "Routine");
  v.drift(-0.006).look(66, "Routine");
  return v;
}

function knife(v: Visits): Visits {
  v.drift(0.05).whole(602, "Knives changed", { temperature: 20 });
  v.drift(0.015).look(436, "Routine");
  v.drift(0.02).whole(250, "Knives changed", { temperature: 21, undressed: true });
  v.drift(0.012).look(75, "Routine");
  v.twoSchools(74, "Scrapes after the knife change");
  return v;
}

/** Its gear lost teeth and was replaced. */
function rewind(v: Visits): Visits {
  v.whole(665, "First reading of the new log", { temperature: 19 });
  v.drift(0.03).look(541, "Routine");
  v.drift(0.04).readOnly(
    412,
    "Bang on stopping",
    "Three teeth of the gear stripped at the 240° mark. Taken out of use until the new gear is in.",
  );
  v.replaceGear(398, "Gear replaced after three teeth had stripped");
  v.drift(-0.08).whole(397, "New gear run in", { temperature: 20 });
  v.drift(0.012).look(290, "Routine");
  v.drift(0.012).look(150, "Routine");
  v.drift(0.01).look(29, "Routine");
  return v;
}

function sector(v: Visits): Visits {
  v.whole(480, "Bracket straightened", { temperature: 21 });
  v.drift(0.008).look(205, "Routine");
  v.say(204, "Stop block of the sector is worn; try the fresh end of the sector at the next overhaul");
  return v;
}

/** Only ever felt, and once set with paper. */
function feed(v: Visits): Visits {
  v.felt(310, "Looked at with the strap change", "by hand", [
    "loose click",
    "small click",
    "small click",
    "small click",
    "loose click",
    "loose click",
  ]);
  v.byHand(150, "Growls once a turn");
  const bore = { making: "printed", of: "hole" };
  v.tried(151, "Acetal pinion, bore", [
    {
      ...bore,
      version: "A",
      drawn: "6.00",
      made: "5.86",
      felt: "refuses",
      outcome: "dropped",
      why: "no force that it stands gets it on",
    },
    { ...bore, version: "B", drawn: "6.15", made: "6.02", felt: "presses", outcome: "tried" },
    {
      ...bore,
      version: "B, reamed once",
      making: "reamed",
      made: "6.05",
      felt: "slides",
      burr: "taken off",
      outcome: "fitted",
    },
    {
      ...bore,
      version: "C",
      drawn: "6.25",
      made: "6.12",
      felt: "falls",
      smooth: "rocks on the shaft",
      outcome: "dropped",
      why: "wobbles, and the mesh with it",
    },
  ]);
  v.felt(24, "Looked at with the strap change", "by ear", [
    "small click",
    "small click",
    "faint click",
    "faint click",
    "small click",
    "small click",
  ]);
  return v;
}

type Visit = (v: Visits) => Visits;
const built =
  (reason: string, ...later: [daysAgo: number, drift: number][]): Visit =>
  (v) => {
    v.whole(240, reason, { temperature: 21, firstBuild: true });
    for (const [daysAgo, drift] of later) v.drift(drift).look(daysAgo, "Routine");
    return v;
  };

/** The belts, chains, worms and gaps, each with what months do to it: belts settle, chains stretch, worms wear. */
const newer: [machineKey: string, stageKey: string, Visit][] = [
  ["die-cutter", "main-belt", built("New belt fitted", [238, -12], [130, -6], [32, -4])],
  ["die-cutter", "blower-belt", built("New belt fitted", [238, -14], [32, -4])],
  [
    "die-cutter",
    "first",
    (v) => {
      built("Fitted after overhaul", [150, 0.006])(v);
      v.drift(0.006).lookBeside(45, "Routine", "end-float", ["0.12", "0.13"]);
      return v;
    },
  ],
  [
    "die-cutter",
    "speed",
    (v) => {
      v.twoSpeeds(120, "Grinds when low is put in");
      return v;
    },
  ],
  [
    "die-cutter",
    "lift-worm",
    (v) => {
      built("New wheel fitted", [140, 0.008])(v);
      v.drift(0.008).lookBeside(38, "Output can be rocked", "end-float", ["0.05", "0.06"]);
      return v;
    },
  ],
  [
    "die-cutter",
    "feeder-chain",
    (v) => {
      built("New chain fitted", [170, 2.2])(v);
      v.drift(1.6).lookBeside(110, "Routine", "elongation", ["255.1"], 20);
      v.drift(1.2).lookBeside(28, "Routine", "elongation", ["255.9"], 20);
      return v;
    },
  ],
  [
    "feeder",
    "feed-belts",
    (v) => {
      built("Set of three fitted", [237, -14], [60, -6])(v);
      v.shafts(
        36,
        "Belts climb to one side of the pulley",
        [
          { id: "motor-shaft", shaft: motorShaft },
          { id: "feed-shaft", shaft: feedShaft("motor-shaft") },
        ],
        [
          { id: "feed-shaft", said: feedShaftFound },
          { id: "feed-shaft", said: feedShaftFitted },
        ],
      );
      return v;
    },
  ],
  [
    "gluer",
    "transport",
    (v) => {
      built("New belt fitted", [239, -20], [75, -8])(v);
      v.putRight(52, "Belt climbs a flange under tension only", framePullsIn);
      const heard = pluckedRounds(v.element);
      v.did(40, "Set by ear last week, heard from a file", [...heard.fromFile], 60);
      v.did(16, "Two weeks on", [...heard.byMicrophone], 90);
      return v;
    },
  ],
  ["gluer", "cross", built("Gear shimmed after overhaul", [90, 0.01])],
  ["slitter", "brake-belt", built("New belt fitted", [52, -6])],
  [
    "table",
    "ring",
    (v) => {
      built("Fitted", [80, 0.008])(v);
      v.keep(
        78,
        "hole-grid",
        { pitchMm: 8, moduleMm: 1, teeth: [12, 16, 20, 24, 32, 40], maxHoles: 8, band: { loMm: -0.12, hiMm: 0.84 } },
        "Try-out gears for the new index on the hole plate: 20 : 40 through 12; a pair 12 : 20 at two along binds a little",
      );
      v.keep(77, "index-error", ringErrors, "What the ring's division may be off by");
      for (const { daysAgo, measured } of ringClosures) v.putRight(daysAgo, "Closure", [measured]);
      return v;
    },
  ],
  [
    "table",
    "reducer",
    (v) => built("Reducer fitted", [64, 0.4])(v).putRight(22, "Closure after a crash", [reducerClosure]),
  ],
  [
    "strapper",
    "infeed",
    (v) => {
      built("New belt fitted", [70, -2])(v);
      v.keep(
        36,
        "open-run",
        {
          pitchMm: 9.525,
          teeth: 15,
          wrapDeg: 180,
          sides: [
            { jointMm: 180, guardMm: 12 },
            { jointMm: 140, guardMm: 8, endMm: 260 },
          ],
          neededDeg: { forward: 190, back: 270 },
        },
        "Open chain of the strap arm: before it is put on, how far it turns to either side",
      );
      return v;
    },
  ],
  ["strapper", "head", built("Head fitted", [85, 1])],
  [
    "strapper",
    "tensioner",
    (v) => {
      v.shifted(62, "Hangs on changing to fast");
      v.apart(41, "Knocks under load, and the output has play", gearboxApart, {
        name: "Tensioner gearbox",
        parts: gearboxGuide,
      });
      return v;
    },
  ],
  [
    "lift",
    "motor-coupling",
    (v) => {
      built("Motor changed, shafts lined up", [128, 0.015])(v);
      v.putRight(44, "Hums since the motor was moved", couplingRight);
      return v;
    },
  ],
  [
    "lift",
    "column-chain",
    (v) => {
      built("Measured for the new log", [150, 0.2])(v);
      v.did(112, "Re-tensioned", reTensioned("gives", 2), 30);
      v.did(83, "Re-tensioned", reTensioned("claps", 3), 30);
      v.drift(0.25).look(50, "Routine");
      return v;
    },
  ],
  [
    "second-slitter",
    "second-knife",
    (v) => {
      v.drift(0.03).whole(570, "Knives changed", { temperature: 20 });
      v.drift(0.018).look(430, "Routine");
      v.drift(0.016).look(300, "Routine");
      v.drift(0.017).whole(181, "Knives changed", { temperature: 22 });
      v.drift(0.014).look(64, "Routine");
      return v;
    },
  ],
  [
    "second-slitter",
    "second-rewind",
    (v) => {
      v.whole(640, "First reading of the new log", { temperature: 19 });
      v.drift(0.016).look(505, "Routine");
      v.drift(0.014).whole(333, "Set back while the drum was out", { temperature: 21 });
      v.drift(0.013).look(170, "Routine");
      v.drift(0.012).look(44, "Routine");
      return v;
    },
  ],
  ["lift", "screw-float", built("Nut replaced", [66, 0.02])],
  [
    "lift",
    "carriage",
    (v) => v.did(150, "Measured for the new log", carriageFound, 180).did(37, "Thumps at the top", carriageSet, 90),
  ],
  [
    "lift",
    "emergency",
    (v) => {
      v.whole(240, "Flange refitted", { temperature: 21, firstBuild: true });
      v.byPrint(140, "Grinds when it is thrown in");
      v.drift(-0.35).look(58, "Routine");
      return v;
    },
  ],
];

/** The usage meter about every two months. */
function meterReadings({ key, usage }: DemoMachine, now: Date): Act[] {
  return Array.from({ length: 12 }, (_, i) => {
    const daysAgo = 700 - i * 61;
    const at = new Date(now.getTime() - daysAgo * day);
    at.setUTCHours(6, 30 + i, 0, 0);
    return {
      at,
      operation: "log-usage" as const,
      input: { id: `${key}-usage-${i}`, machineId: key, reading: Math.round(usage.first + usage.perDay * i * 61) },
    };
  });
}
