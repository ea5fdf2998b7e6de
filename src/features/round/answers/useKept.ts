"use client";
import { useStored } from "@/features/frame/drafts";
import { answerKey } from "./context";

/** Choices of a question that outlive a reload and signing up. */
export const useKept = <Value>(name: string, first: Value) => useStored(answerKey(name), first);
