/** Alerts that leave the machine. Never waits for an answer on the thread that rings. */
package kelvo.data.alert;
