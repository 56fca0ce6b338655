/** The trader's days in one SQLite file, written by a thread of its own. */
package kelvo.data.ledger;
