/** How long the program takes, for measurements. */
package kelvo.data.timing;
