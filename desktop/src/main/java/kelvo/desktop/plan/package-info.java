/** The part with the plan for a symbol: side, bucket, levels, notes. */
package kelvo.desktop.plan;
