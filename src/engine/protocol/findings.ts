/** Findings, and ways to set them right. All of it is plain data. */
import type { AllRight, Conditions, Finding, Fix, TextLook } from "@/core";

/** A finding with the ways to set it right, as the text it is about looks now and would look. */
export interface FindingView {
  /** Null where it is about no text. */
  now: TextLook | null;
  fixes: (Fix & { then: TextLook | null })[];
}

export interface FindingsAnswers {
  /** The ways to set a finding right, each computed; null where the same asker asked about another meanwhile. */
  fixes(finding: Finding, conditions: Conditions, asker: string): Promise<FindingView | null>;
  /** What sets several findings right at once; null where it was asked about others meanwhile. */
  setAllRight(findings: Finding[], conditions: Conditions): Promise<AllRight | null>;
}
