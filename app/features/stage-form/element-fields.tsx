import type { ReactNode } from "react";
import { kindName } from "~/app/features/kinds";
import { type StageKind, stageKinds } from "~/core/stages";
import { capital } from "../words/count";
import { ElementFigures } from "./element-figures";
import { kindOf, readElement } from "./read-element";
import { ChoiceField, LinesField, TextField, TickField, useForm } from "./text-field";

/** What the stage is made of, its fields, and beside them the drawing and what follows from it while one types. */
export function ElementFields({ fixedKind = false }: { fixedKind?: boolean }) {
  const { fields } = useForm();
  const kind = kindOf(fields.texts);
  const Fields = fieldsOf[kind];
  return (
    <fieldset className="grid xl:grid-cols-[minmax(0,34rem)_minmax(0,1fr)] gap-x-10 gap-y-4">
      <legend className="text-xl font-bold mb-2">Geometry</legend>
      <div className="grid gap-4 content-start">
        {!fixedKind && (
          <ChoiceField
            name="kind"
            legend="It is a"
            usual="gear-pair"
            options={stageKinds.map((value) => ({ value, label: kindName(value) }))}
          />
        )}
        <Fields />
        {kind !== "gap" && <TurnedBy kind={kind} />}
      </div>
      <ElementFigures read={readElement(fields.texts)} saves />
    </fieldset>
  );
}

const Row = ({ children }: { children: ReactNode }) => (
  <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">{children}</div>
);

const More = ({ title, children }: { title: string; children: ReactNode }) => (
  <details>
    <summary className="min-h-11 content-center cursor-pointer underline">{title}</summary>
    <div className="grid gap-4 pt-2">{children}</div>
  </details>
);

function GearFields() {
  const { fields } = useForm();
  const internal = fields.texts.internal === "yes";
  return (
    <>
      <Row>
        <TextField name="z1" label="Teeth of the pinion" inputMode="numeric" />
        <TextField name="z2" label={internal ? "Teeth of the ring" : "Teeth of the gear"} inputMode="numeric" />
        <TextField name="pitch" label="Module, or DP" hint="1.5, or 16 DP; normal" />
        <TextField name="centres" label="Centre distance" hint="mm, as installed" />
        <TextField name="x1" label="Shift of the pinion" hint="x, usually 0" />
        <TextField name="x2" label="Shift of the gear" hint="x, usually 0" />
        <TextField name="helix" label="Helix angle" hint="degrees; empty: spur" />
      </Row>
      {fields.texts.helix && (
        <ChoiceField
          name="helixHand"
          legend="Hand of the pinion"
          usual="right"
          options={[
            { value: "right", label: "right-hand" },
            { value: "left", label: "left-hand" },
          ]}
        />
      )}
      <TickField name="internal" label="The gear is a ring with its teeth inside" />
      <TickField name="switches" label="It switches between two gears or more" />
      {fields.texts.switches === "yes" && (
        <>
          <TextField name="gearName" label="This gear is called" hint="low, slow …" className="max-w-60" />
          <LinesField
            name="gears"
            label="The other gears, one a line: name, teeth of pinion and gear, shifts if any"
            hint="high 30 30, or: high 29 30 0.27 0.26. All stand at the same centre distance."
          />
        </>
      )}
      <More title="Widths, materials, bores, thinning, pressure angle, a gear of another pitch">
        <Row>
          <TextField name="face" label="Face width" hint="mm" />
          <TextField name="alpha" label="Pressure angle" hint="degrees, usually 20" />
          <TextField name="pitch2" label="Gear's own pitch" hint="only where it differs" />
          <TextField name="material1" label="Pinion of" hint="steel, brass, acetal …" />
          <TextField name="bore1" label="Pinion bore" hint="mm" />
          <TextField name="key1" label="Pinion keyway" hint="depth beyond the bore" />
          <TextField name="material2" label="Gear of" />
          <TextField name="bore2" label="Gear bore" hint="mm" />
          <TextField name="key2" label="Gear keyway" hint="depth beyond the bore" />
          <TextField name="thin1" label="Pinion thinned by" hint="mm, normal" />
          <TextField name="thin2" label="Gear thinned by" hint="mm, normal" />
        </Row>
      </More>
    </>
  );
}

function WormFields() {
  return (
    <>
      <Row>
        <TextField name="starts" label="Starts of the worm" inputMode="numeric" />
        <TextField name="z2" label="Teeth of the wheel" inputMode="numeric" />
        <TextField name="pitch" label="Axial module" hint="mm, or DP" />
        <TextField name="d1" label="Pitch diameter of the worm" hint="mm" />
        <TextField name="centres" label="Centre distance" hint="mm, as installed" />
        <TextField name="alpha" label="Pressure angle" hint="normal, usually 20" />
      </Row>
      <Hand legend="Hand of the worm" />
    </>
  );
}

const Hand = ({ legend }: { legend: string }) => (
  <ChoiceField
    name="hand"
    legend={legend}
    usual="right"
    options={[
      { value: "right", label: "right-hand" },
      { value: "left", label: "left-hand" },
    ]}
  />
);

function BevelFields() {
  const { fields } = useForm();
  return (
    <>
      <Row>
        <TextField name="z1" label="Teeth of the pinion" inputMode="numeric" />
        <TextField name="z2" label="Teeth of the gear" inputMode="numeric" />
        <TextField name="pitch" label="Outer module" hint="mm, or DP" />
        <TextField name="shafts" label="Shaft angle" hint="degrees, usually 90" />
        <TextField name="spiral" label="Spiral angle" hint="degrees; empty: straight" />
        <TextField name="face" label="Face width" hint="mm; usually a third of the cone" />
        <TextField name="alpha" label="Pressure angle" hint="usually 20" />
      </Row>
      {fields.texts.spiral && <Hand legend="Hand of the pinion's spiral" />}
      <ChoiceField
        name="shimmed"
        legend="The shims that are set lie behind"
        usual="gear"
        options={[
          { value: "gear", label: "the gear: backlash" },
          { value: "pinion", label: "the pinion: pattern" },
        ]}
      />
    </>
  );
}

function PlanetaryFields() {
  const { fields } = useForm();
  const compound = fields.texts.planetary === "compound";
  const members = compound
    ? ["sun", "carrier", "ring1", "ring2"].map((value) => ({ value, label: value.replace(/(\d)/, " $1") }))
    : ["sun", "carrier", "ring"].map((value) => ({ value, label: value }));
  return (
    <>
      <ChoiceField
        name="planetary"
        legend="Set"
        usual="simple"
        options={[
          { value: "simple", label: "simple: sun, planets, ring" },
          { value: "compound", label: "stepped planets, two rings" },
        ]}
      />
      <Row>
        <TextField name="sun" label="Teeth of the sun" inputMode="numeric" />
        <TextField name="planetA" label={compound ? "Planet gear A" : "Teeth of a planet"} inputMode="numeric" />
        <TextField name="ring1" label={compound ? "Ring 1, with A" : "Teeth of the ring"} inputMode="numeric" />
        {compound && (
          <>
            <TextField name="planetB" label="Planet gear B" hint="joined to A" inputMode="numeric" />
            <TextField name="ring2" label="Ring 2, with B" inputMode="numeric" />
          </>
        )}
        <TextField name="planets" label="How many planets" inputMode="numeric" />
        <TextField name="pitch" label="Module" hint="mm, for the drawing and the room" />
      </Row>
      <ChoiceField name="fixed" legend="Fixed" usual={compound ? "ring1" : "ring"} options={members} />
      <ChoiceField name="input" legend="Driven in at" usual="sun" options={members} />
      <ChoiceField name="output" legend="Taken out at" usual={compound ? "ring2" : "carrier"} options={members} />
    </>
  );
}

function ToothedBeltFields() {
  return (
    <>
      <Row>
        <TextField name="beltPitch" label="Belt pitch" hint="mm: 2, 3, 5, 8, 10 …" />
        <TextField name="z1" label="Teeth of the driver" inputMode="numeric" />
        <TextField name="z2" label="Teeth of the driven" inputMode="numeric" />
        <TextField name="beltTeeth" label="Teeth of the belt" inputMode="numeric" />
        <TextField name="centres" label="Centre distance" hint="mm, as installed" />
      </Row>
      <BeltMatter />
      <IdlerFields what="belt" />
    </>
  );
}

function VBeltFields() {
  return (
    <>
      <Row>
        <TextField name="d1" label="Pitch diameter, driver" hint="mm" />
        <TextField name="d2" label="Pitch diameter, driven" hint="mm" />
        <TextField name="beltLength" label="Pitch length" hint="mm" />
        <TextField name="centres" label="Centre distance" hint="mm, as installed" />
        <TextField name="belts" label="Belts side by side" hint="usually 1" inputMode="numeric" />
      </Row>
      <BeltMatter />
      <IdlerFields what="belt" />
    </>
  );
}

const BeltMatter = () => (
  <Row>
    <TextField name="mass" label="Mass a metre" hint="kg/m of one belt; weigh a known length" />
    <TextField name="stiffness" label="Stiffness EA" hint="N; empty: learnt from the first moves" />
    <TextField name="bending" label="Bending stiffness EI" hint="N·mm²; matters on short spans" />
  </Row>
);

function ChainFields() {
  return (
    <>
      <Row>
        <TextField name="beltPitch" label="Chain pitch" hint="mm, or 1/2 in" />
        <TextField name="z1" label="Teeth of the driver" inputMode="numeric" />
        <TextField name="z2" label="Teeth of the driven" inputMode="numeric" />
        <TextField name="links" label="Links" hint="even, or one is cranked" inputMode="numeric" />
        <TextField name="centres" label="Centre distance" hint="mm, as installed" />
        <TextField name="incline" label="Line of centres rises by" hint="degrees; 90: upright" />
      </Row>
      <IdlerFields what="chain" />
    </>
  );
}

function IdlerFields({ what }: { what: string }) {
  const { fields } = useForm();
  const idlers = (fields.texts.idlers ?? "").split(/\n|;/).filter((line) => line.trim() !== "");
  return (
    <>
      <LinesField
        name="idlers"
        label="Idlers and rollers, one a line: x y diameter, inside or outside, lower or upper"
        hint={`From the driver's middle, y upwards, the driven to the right: 120 -20 40 outside lower. The ${what} runs out along the lower strand. Diameter where its line runs.`}
      />
      {idlers.length > 0 && (
        <ChoiceField
          name="moved"
          legend="The adjuster moves"
          usual="centres"
          options={[
            { value: "centres", label: "the centres" },
            ...idlers.map((_, i) => ({ value: String(i), label: `idler ${i + 1}` })),
          ]}
        />
      )}
    </>
  );
}

function GapFields() {
  return (
    <>
      <ChoiceField
        name="gapWhat"
        legend="The gap is"
        usual="end-float"
        options={[
          { value: "end-float", label: "end float" },
          { value: "pinion-clearance", label: "a pinion's clearance to its ring" },
          { value: "running-clearance", label: "running clearance" },
        ]}
      />
      <Row>
        <TextField name="gapDiameter" label="Diameter of the faces" hint="mm, for the drawing" />
        <TextField name="gapPlaces" label="Read at" hint="places; empty: 1" inputMode="numeric" />
      </Row>
    </>
  );
}

function TurnedBy({ kind }: { kind: StageKind }) {
  const { fields } = useForm();
  const teeth = kind === "gear-pair" || kind === "worm" || kind === "bevel";
  return (
    <>
      <ChoiceField
        name="turnedBy"
        legend="It can be turned by hand"
        usual="either"
        options={[
          { value: "either", label: "from either end" },
          { value: "input", label: "from the motor only" },
          { value: "output", label: "from the output only" },
          { value: "power", label: "not by hand" },
        ]}
      />
      {teeth && <TickField name="arc" label="It turns only part of a turn" />}
      {teeth && fields.texts.arc === "yes" && (
        <div className="grid grid-cols-2 gap-4">
          <TextField name="arc.from" label="From" hint="degrees of the gear from the witness mark" />
          <TextField name="arc.to" label="To" hint="degrees, in the direction teeth are counted" />
        </div>
      )}
    </>
  );
}

export const fieldsOf: Record<StageKind, () => ReactNode> = {
  "gear-pair": GearFields,
  worm: WormFields,
  bevel: BevelFields,
  planetary: PlanetaryFields,
  "toothed-belt": ToothedBeltFields,
  "v-belt": VBeltFields,
  chain: ChainFields,
  gap: GapFields,
};

/** "Worm and wheel", for headings. */
export const kindTitle = (kind: StageKind): string => capital(kindName(kind));
