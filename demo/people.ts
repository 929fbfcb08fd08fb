/** Who else works in the carton works, under the same password as the lead. */
export const people = [
  { key: "technician", name: "M. Sandor", signIn: "tech", role: "technician", pin: "2468" },
  { key: "second-technician", name: "K. Ferro", signIn: "ferro", role: "technician", pin: "1357" },
  { key: "reader", name: "P. Olin", signIn: "reader", role: "reader", pin: null },
] as const;
