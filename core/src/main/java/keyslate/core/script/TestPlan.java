package keyslate.core.script;

/** The plan of a test; a new kind of test is one more of these, with its planner and its panel. */
public sealed interface TestPlan permits CoverStripPlan {}
