/** Pictures for the tape, drawn: stand-ins for photographs. */
export const photographs = [
  {
    key: "print-anvil",
    machine: "die-cutter",
    stage: "anvil",
    name: "print-anvil-gear.jpg",
    caption: "Print of the marking paint on three teeth of the anvil gear: even along the face",
    daysAgo: 53.8,
    svg: print(0.62),
  },
  {
    key: "print-rewind",
    machine: "slitter",
    stage: "rewind",
    name: "print-new-rewind-gear.jpg",
    caption: "First print of the new gear: heavier at the drive side",
    daysAgo: 396.5,
    svg: print(0.35),
  },
];

/** Three teeth seen from the front with the print that paper or paint leaves; `even` 1: the same all along. */
function print(even: number): string {
  const teeth = [0, 1, 2].map((i) => {
    const x = 90 + i * 260;
    return `<path d="M${x} 60h180l-14 420h-152z" fill="#8b949b"/><path d="M${x + 30} 120h120l-8 250h-104z" fill="#2c3a45"/>
      <path d="M${x + 42} 150h${96 * even}l-6 190h-${84 * even}z" fill="#b0430d" opacity="0.8"/>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="560"><rect width="900" height="560" fill="#d5d9d8"/>${teeth.join("")}</svg>`;
}
