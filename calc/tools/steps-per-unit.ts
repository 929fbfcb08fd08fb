import * as z from "zod";
import { accept } from "../../core/quantity";
import { correctedStepsPerMm, type IndexDrive, stepsCommand, stepsPerMm } from "../../core/trains";
import { exactlyOne, oneForm, positive, wanted } from "../fields";
import { tool } from "../tool";
import { motorShape } from "./index-plan";

const input = z
  .strictObject({
    stepsPerRev: motorShape.stepsPerRev.optional(),
    microsteps: motorShape.microsteps.optional(),
    ratio: motorShape.ratio.optional(),
    drumDiameterMm: positive.optional(),
    travelPerTurnMm: positive.optional(),
    oldStepsPerMm: positive.optional(),
    commandedMm: positive.optional(),
    measuredMm: positive.optional(),
    axis: z
      .string()
      .regex(/^[A-Z]$/)
      .default("X"),
  })
  .superRefine((given, context) => {
    const form = oneForm<typeof given>(
      [
        ["stepsPerRev", "microsteps", "ratio", "drumDiameterMm", "travelPerTurnMm"],
        ["oldStepsPerMm", "commandedMm", "measuredMm"],
      ],
      "drumDiameterMm",
    )(given, context);
    if (form === 0) {
      wanted<typeof given>(["stepsPerRev", "microsteps", "ratio"])(given, context);
      exactlyOne<typeof given>(["drumDiameterMm", "travelPerTurnMm"])(given, context);
    }
    if (form === 1) wanted<typeof given>(["oldStepsPerMm", "commandedMm", "measuredMm"])(given, context);
  });

export const stepsPerUnitTool = tool({
  name: "steps-per-unit",
  purpose: "steps per millimetre of a motor's axis, computed or corrected by a test run, and its command",
  input,
  output: z.strictObject({ stepsPerMm: z.number(), gcode: z.string() }),
  run: (given) => {
    const { drumDiameterMm, travelPerTurnMm, oldStepsPerMm, commandedMm, measuredMm } = given;
    const steps =
      oldStepsPerMm !== undefined
        ? correctedStepsPerMm(oldStepsPerMm, commandedMm as number, measuredMm as number)
        : stepsPerMm(given as IndexDrive, travelPerTurnMm ?? Math.PI * (drumDiameterMm as number));
    return accept({ stepsPerMm: steps, gcode: stepsCommand(given.axis, steps) });
  },
});
