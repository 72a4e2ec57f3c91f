package app.hodegon.core.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.plan.Plan.Step;
import java.util.List;

/**
 * The way up for one focus fault.
 *
 * @param steps from the first rung not yet passed upwards; empty if no drill is allowed
 * @param below what lies under them, highest first: to refresh, and for days that have no place for the steps
 */
record Route(Fault fault, List<Step> steps, List<Step> below) {}
