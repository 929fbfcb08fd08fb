/** Whether an instrument was past the day its calibration is due again. Days as text, "2026-11-25"; nobody said: not overdue. */
export const isOverdue = (dueOn: string | null, day: string): boolean => dueOn !== null && dueOn < day;
