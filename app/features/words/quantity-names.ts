import type { JudgedQuantity, MeasuredQuantity, SideQuantity } from "~/core/stages";

export const judgedWords: Record<JudgedQuantity, string> = {
  backlash: "backlash",
  "lost-motion": "lost motion at the output",
  tension: "tension of one strand",
  sag: "sag",
  elongation: "elongation",
  "shaft-offset": "offset of the shafts",
  gap: "gap",
  "switch-to-buffer": "way from switch to buffer",
  "switch-to-buffer-angle": "way from switch to buffer",
};

export const sideWords: Record<SideQuantity, string> = {
  "end-float": "End float",
  elongation: "Elongation",
  runout: "Runout",
  offset: "Offset of the faces",
  angle: "Angle of the faces",
  "hub-gap": "Gap between the hubs",
  "run-clearance": "Room along the run",
};

/** What each way of measuring is called, and what it is worth. */
export const measuredWords: Record<MeasuredQuantity, { name: string; worth: string }> = {
  "circumferential-backlash": {
    name: "Free way, indicator",
    worth: "The best there is on an installed stage; the tip square to the motion, the other member held.",
  },
  "normal-backlash": {
    name: "Feeler between the flanks",
    worth:
      "Good where the feeler lies flat; it is shorter than the free way at the pitch circle, and that is taken into account.",
  },
  "tip-clearance": {
    name: "Pin or feeler, tip to root",
    worth:
      "Rough: real tips and roots stray by half a tenth (common practice), and all of that goes into the backlash.",
  },
  "angular-backlash": {
    name: "Free angle",
    worth: "As good as the protractor: a minute of arc is a third of a hundredth at 10 mm.",
  },
  tension: { name: "Tension, as the gauge shows it", worth: "As good as the gauge and its calibration for this belt." },
  "span-frequency": {
    name: "Span frequency, plucked",
    worth:
      "One per cent of frequency is two of tension; the mass a metre is taken as good to 2.5 % where it was weighed, to 7.5 % by its class (common practice).",
  },
  "span-force": {
    name: "Force for a deflection",
    worth: "Good where the span is long: press square to it in the middle, by a 64th of the span.",
  },
  "span-deflection": {
    name: "Deflection by a force",
    worth: "Rough on short spans, where a tenth of a millimetre is much of the deflection.",
  },
  sag: {
    name: "Hanging sag in mid-span",
    worth: "From the straight line, hanging freely, the other strand pulled tight: it hangs in an arc.",
  },
  "hand-movement": {
    name: "Whole free movement, by hand",
    worth:
      "Up and down together in mid-span, the other strand pulled tight; half of it counts. By hand it is a triangle, and the same slack shows a sixth more than it hangs.",
  },
  elongation: {
    name: "Length over counted pitches",
    worth: "Roller to roller on the same side, under a light pull, over ten pitches or more.",
  },
  "rim-swing": {
    name: "Dial on the rim, whole swing",
    worth: "Half of the swing is the offset. Good where both shafts turn together; sag of the bracket goes into it.",
  },
  "shaft-offset": {
    name: "Offset: straight-edge and feeler over the hubs",
    worth: "Rough: hubs are rarely of one size to better than some hundredths. The greatest of four places counts.",
  },
  gap: {
    name: "Gap: pin, feeler, caliper or indicator",
    worth: "As good as the instrument; feel for the same drag each time.",
  },
  "end-float": { name: "End float", worth: "Push and pull along the shaft, indicator on its end." },
  runout: { name: "Runout", worth: "The whole swing of the indicator over a turn." },
  offset: { name: "Offset", worth: "Straight-edge across both faces." },
  angle: { name: "Angle", worth: "Straight-edge or laser across both faces." },
  "hub-gap": { name: "Gap between the hubs", worth: "Feeler or slip between the faces, at four places." },
  "run-clearance": {
    name: "Room along the run",
    worth:
      "All along its channel, turned through once by hand: what is least counts; it rubs nothing and runs parallel to the frame.",
  },
  "switch-to-buffer": {
    name: "Way from switch to buffer",
    worth: "Crept by hand to where the switch acts, then read to the first touch; behind the buffer with a minus.",
  },
  "switch-to-buffer-angle": {
    name: "Way from switch to buffer",
    worth: "As good as the scale on the pivot; crept by hand, behind the buffer with a minus.",
  },
};
