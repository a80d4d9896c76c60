/**
 * The planner: in which week each milestone of the year stands for whom, why there and not a week earlier or later, what
 * does not fit and what would make it fit; and how far a section will come. Pure computation over a problem that holds
 * everything it needs; it counts steps, never time, and gives the same plan for the same problem on any machine.
 */
package vividroster.core.plan;
