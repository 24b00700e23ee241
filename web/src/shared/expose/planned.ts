import type { SlateView, StepView } from "../api/client";

/** Whether a kind of sheet is the test that is planned now. */
function isTest(slate: SlateView, kind: string): boolean {
  return kind === slate.test.plan.kind;
}

/** The script a sheet of this kind would have. */
export function scriptOf(slate: SlateView, kind: string): readonly StepView[] {
  return isTest(slate, kind) ? slate.test.script : slate.local.script;
}

/** The station where a sheet of this kind is planned. */
export function stationOf(slate: SlateView, kind: string): string {
  return isTest(slate, kind) ? "test" : "print";
}
