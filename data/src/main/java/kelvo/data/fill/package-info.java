/** Fills from the tables of brokers, whatever their columns are called. */
@org.jspecify.annotations.NullMarked
package kelvo.data.fill;
