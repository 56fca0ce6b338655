/**
 * A data folder: tables as CSV or Parquet, read with every fault kept; the lock that says who
 * writes.
 */
package kelvo.data.folder;
