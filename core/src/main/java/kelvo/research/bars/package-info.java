/** Questions put to sessions of which only minute bars are known. */
package kelvo.research.bars;
