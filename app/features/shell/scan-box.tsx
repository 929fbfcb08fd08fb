import decodeQR from "qr/decode.js";
import { type RefObject, useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { Button } from "~/ui/button";
import { Dialog } from "~/ui/dialog";
import { useHandler } from "~/ui/use-handler";
import { scannedLabel } from "./scanned-label";

/** Frames are looked at so often, and no wider than this: a label fills a third of what is seen. */
const lookMs = 160;
const lookPx = 640;

type Seen = { is: "looking" } | { is: "no-camera" } | { is: "other"; text: string };

/** What the camera sees, until a machine's label is in it: then its page opens. */
export function ScanBox({ open, setOpen }: { open: boolean; setOpen: (open: boolean) => void }) {
  return (
    <Dialog title="Hold the label before the camera" open={open} onOpenChange={setOpen}>
      <Camera onDone={() => setOpen(false)} />
      <div className="mt-4">
        <Button kind="solid" large onClick={() => setOpen(false)}>
          Leave it
        </Button>
      </div>
    </Dialog>
  );
}

function Camera({ onDone }: { onDone: () => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const navigate = useNavigate();
  const [seen, setSeen] = useState<Seen>({ is: "looking" });
  const onText = useHandler((text: string) => {
    const machine = scannedLabel(text);
    if (!machine) return setSeen({ is: "other", text: text.slice(0, 60) });
    onDone();
    navigate(`/at/${machine}`);
  });
  const onNone = useHandler(() => setSeen({ is: "no-camera" }));
  useCamera(video, onText, onNone);
  return (
    <>
      <video ref={video} muted playsInline className="w-full aspect-4/3 bg-ink object-cover" />
      <p role="status" className="text-lg mt-2">
        {seen.is === "looking" && "Nothing is kept of what it sees."}
        {seen.is === "no-camera" &&
          "There is no camera here, or it may not be used. Type the machine’s name or tag instead."}
        {seen.is === "other" && `That is no label of a machine: “${seen.text}”.`}
      </p>
    </>
  );
}

/** Runs the camera while it is shown, and tells every text that it reads. */
function useCamera(
  video: RefObject<HTMLVideoElement | null>,
  onText: (text: string) => void,
  onNone: () => void,
): void {
  useEffect(() => {
    let stream: MediaStream | null = null;
    let left = false;
    const canvas = document.createElement("canvas");
    const look = () => {
      const text = video.current && textIn(video.current, canvas);
      if (text) onText(text);
    };
    const timer = setInterval(look, lookMs);
    const begin = async () => {
      stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: "environment" } });
      if (left || !video.current) return stop();
      video.current.srcObject = stream;
      await video.current.play();
    };
    const stop = () => {
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
    begin().catch(() => !left && onNone());
    return () => {
      left = true;
      clearInterval(timer);
      stop();
    };
  }, [video, onText, onNone]);
}

/** The text of a code in what is seen now; null where there is none. */
function textIn(video: HTMLVideoElement, canvas: HTMLCanvasElement): string | null {
  if (video.videoWidth === 0) return null;
  const scale = Math.min(1, lookPx / video.videoWidth);
  canvas.width = Math.round(video.videoWidth * scale);
  canvas.height = Math.round(video.videoHeight * scale);
  const sheet = canvas.getContext("2d", { willReadFrequently: true });
  if (!sheet) return null;
  sheet.drawImage(video, 0, 0, canvas.width, canvas.height);
  try {
    return decodeQR(sheet.getImageData(0, 0, canvas.width, canvas.height));
  } catch {
    // Nothing in it that can be read, as in most of what a camera sees.
    return null;
  }
}
