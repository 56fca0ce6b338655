/** What could not be read, in one sentence with its place. Used by every reader. */
package kelvo.data.fault;
