/** Above it two people lift, where a workshop has no limit of its own, kg: the reference mass of ISO 11228-1. */
export const usualLiftLimitKg = 25;
