/**
 * One trading date: its securities with what was known of them beforehand, its hours, its known
 * events and its tape. Read-only once built; of a session that goes on, tape and news grow.
 */
package kelvo.session;
