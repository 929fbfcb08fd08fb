import { type ReactNode, useEffect, useRef, useState } from "react";

const looks = {
  plain: "min-h-11 content-center cursor-pointer",
  line: "min-h-11 content-center cursor-pointer underline",
  strong: "min-h-11 content-center cursor-pointer font-semibold underline",
  indented: "min-h-11 content-center cursor-pointer pl-[4.25rem]",
};

/** Closed until it is wanted; what lies in it is made when it is first opened, so no field of a form around it may lie in it. */
export function Fold({
  summary,
  look = "strong",
  className,
  children,
}: {
  summary: ReactNode;
  look?: keyof typeof looks;
  className?: string;
  children: ReactNode;
}) {
  const [opened, setOpened] = useState(false);
  const fold = useRef<HTMLDetailsElement>(null);
  // Opened by a hand that was faster than the script.
  useEffect(() => {
    if (fold.current?.open) setOpened(true);
  }, []);
  return (
    <details ref={fold} className={className} onToggle={() => setOpened(true)}>
      <summary className={looks[look]}>{summary}</summary>
      {opened && children}
    </details>
  );
}
