/** The Research stage: what came of a scan's finds in the sessions before the one that is open. */
@NullMarked
package kelvo.desktop.research;

import org.jspecify.annotations.NullMarked;
