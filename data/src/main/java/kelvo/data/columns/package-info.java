/**
 * What tables say as numbers in files that are mapped into memory, so that nothing is parsed twice.
 * Made from the tables, known by their sizes and times, and never needed: without them the tables
 * are read.
 */
@NullMarked
package kelvo.data.columns;

import org.jspecify.annotations.NullMarked;
