/** A pump as a label tells of it. */
export interface CommonPump {
  readonly id: string;
  readonly kind: "small submersible" | "large submersible" | "surface";
  /** Where its figures are round. */
  readonly system: "metric" | "us";
  readonly flowAtNoLiftLph: number;
  readonly greatestLiftM: number;
}

const US_GALLON_L = 3.785411784;
const FOOT_M = 0.3048;
const metric = (kind: CommonPump["kind"], flowAtNoLiftLph: number, greatestLiftM: number): CommonPump => ({
  id: `${flowAtNoLiftLph}-l-${greatestLiftM}-m`,
  kind,
  system: "metric",
  flowAtNoLiftLph,
  greatestLiftM,
});
const us = (kind: CommonPump["kind"], gallonsPerHour: number, feet: number): CommonPump => ({
  id: `${gallonsPerHour}-gal-${feet}-ft`,
  kind,
  system: "us",
  flowAtNoLiftLph: gallonsPerHour * US_GALLON_L,
  greatestLiftM: feet * FOOT_M,
});

/**
 * Sizes in which pumps for small gardens are sold, with the two figures of their labels: to plan with while there is no
 * pump yet. A pump that is there has a label of its own, and a bucket and a watch say more than either.
 * @source common practice: pumps of one flow are sold with lifts of about ± 30 % of these
 */
export const COMMON_PUMPS: readonly CommonPump[] = [
  metric("small submersible", 300, 0.6),
  metric("small submersible", 400, 1.4),
  metric("small submersible", 800, 1.8),
  metric("small submersible", 1500, 2),
  metric("small submersible", 2000, 2.5),
  metric("small submersible", 3000, 3),
  metric("large submersible", 4500, 3.5),
  metric("large submersible", 6000, 5),
  metric("large submersible", 8000, 6),
  metric("large submersible", 10_000, 7.5),
  metric("surface", 3000, 35),
  metric("surface", 3500, 45),
  us("small submersible", 80, 2),
  us("small submersible", 120, 4),
  us("small submersible", 200, 6),
  us("small submersible", 400, 6.5),
  us("small submersible", 550, 8),
  us("small submersible", 800, 10),
  us("large submersible", 1200, 12),
  us("large submersible", 1800, 18),
  us("large submersible", 2500, 25),
  us("surface", 800, 115),
  us("surface", 950, 150),
];
