import { v7 } from "uuid";
import type { DraftBody, RoundDraft } from "~/operations/draft-body";
import { post, type Stopped } from "../../offline/outbox";
import { claimDraft, type Draft, emptyDraft, keepDraft, type StoredDraft } from "./draft-store";

/** When the server last took what is being typed, and why it could not since. */
export type DraftKept = { at: string | null; why: Stopped };

const pauseMs = 700;
const againMs = 4000;

/**
 * What is being typed on one stage of a job: kept in the browser before the next keystroke, on the server after a pause. Whoever shows a part
 * of it is told of every change and looks whether that part is another.
 */
export class TypedDraft {
  body: DraftBody = emptyDraft();
  kept: DraftKept = { at: null, why: null };
  /** False until what was typed before has been found again. */
  ready = false;
  #id = "";
  /** When what the server took last had been typed. */
  #takenOf = emptyDraft().savedAt;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #live = false;
  readonly #listeners = new Set<() => void>();

  constructor(
    readonly jobId: string,
    readonly stageId: string,
    private personId: string,
    private readonly fromServer: readonly StoredDraft[],
    private readonly send: typeof post = post,
  ) {}

  /** Finds what was typed before, and sends what is typed from now on; until it is let go of. */
  readonly hold = (): (() => void) => {
    this.#live = true;
    if (this.ready) this.#plan(pauseMs);
    else
      claimDraft(this.#place(), this.fromServer).then((claimed) => {
        if (this.#live && !this.ready) this.#set(claimed);
      });
    return () => {
      this.#live = false;
      clearTimeout(this.#timer);
    };
  };

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  readonly changeRound = (phase: keyof DraftBody["rounds"], how: (round: RoundDraft) => RoundDraft): void => {
    const was = this.body.rounds[phase];
    const round = how(was);
    if (round !== was) this.#change({ ...this.body, rounds: { ...this.body.rounds, [phase]: round } });
  };

  readonly changeText = (name: string, text: string): void => {
    if ((this.body.texts[name] ?? "") !== text || !(name in this.body.texts))
      this.#change({ ...this.body, texts: { ...this.body.texts, [name]: text } });
  };

  /** Who takes over the tablet goes on with what stands there, under a draft of their own; the one of before is empty then. */
  handTo(personId: string): void {
    if (personId === this.personId) return;
    const savedAt = new Date().toISOString();
    if (this.#id) keepDraft(this.#place(), { id: this.#id, body: { ...emptyDraft(), savedAt } });
    this.personId = personId;
    const next = { id: v7(), body: { ...this.body, savedAt } };
    keepDraft(this.#place(), next);
    this.#set(next);
  }

  /** An occasion to send what was not taken yet. */
  tryAgain(): void {
    this.#plan(pauseMs);
  }

  #place() {
    return { personId: this.personId, jobId: this.jobId, stageId: this.stageId };
  }

  #change(body: DraftBody): void {
    const next = { id: this.#id || v7(), body: { ...body, savedAt: new Date().toISOString() } };
    keepDraft(this.#place(), next);
    this.#set(next);
  }

  #set({ id, body }: Draft): void {
    this.#id = id;
    this.body = body;
    this.ready = true;
    this.#plan(pauseMs);
    this.#tell();
  }

  #tell(): void {
    for (const listener of this.#listeners) listener();
  }

  #plan(ms: number): void {
    clearTimeout(this.#timer);
    if (this.#live && this.ready && this.body.savedAt > this.#takenOf) this.#timer = setTimeout(() => this.#put(), ms);
  }

  async #put(): Promise<void> {
    const { jobId, stageId, body } = this;
    const answer = await this.send(`/jobs/${jobId}/draft`, { id: this.#id, jobId, stageId, body });
    if ("stopped" in answer) this.kept = { ...this.kept, why: answer.stopped };
    // A job opened here without a network is not known to the server yet; its draft waits with it.
    else if (!("refusal" in answer)) {
      this.#takenOf = body.savedAt;
      this.kept = { at: new Date().toISOString(), why: null };
    }
    this.#tell();
    // What was typed meanwhile has its own turn already.
    if (body === this.body) this.#plan(againMs);
  }
}
