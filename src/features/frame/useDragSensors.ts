"use client";
import { MouseSensor, TouchSensor, useSensor, useSensors } from "@dnd-kit/core";

/** A drag begins once the mouse has moved a little, or a finger has rested: pressing and scrolling are none. */
export const useDragSensors = (restMs = 250) =>
  useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 5 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: restMs, tolerance: 8 } }),
  );
