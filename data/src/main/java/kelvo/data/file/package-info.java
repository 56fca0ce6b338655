/** What holds of every file that Kelvo writes. */
package kelvo.data.file;
