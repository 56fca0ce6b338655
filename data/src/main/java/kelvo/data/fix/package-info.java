/**
 * The trader's fills as a broker tells them over FIX 4.4: a drop copy, which only listens.
 * Execution reports come in, {@link kelvo.trade.Fill fills} go to the ledger.
 */
package kelvo.data.fix;
