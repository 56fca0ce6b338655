/** Questions of research as SQL, for stores that are too large for one machine. */
package kelvo.data.research;
