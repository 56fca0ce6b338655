/** Reports of sessions as HTML and PDF, with a picture of each trade. */
@NullMarked
package kelvo.data.report;

import org.jspecify.annotations.NullMarked;
