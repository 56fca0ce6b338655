/** Price charts painted on a canvas: zoom, crosshair, ruler, levels. */
package kelvo.desktop.chart;
