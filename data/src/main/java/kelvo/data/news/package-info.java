/** News feeds: RSS, Atom and JSON Feed, from files and from polled addresses. */
package kelvo.data.news;
