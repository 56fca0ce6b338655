package kelvo.cli;

import kelvo.refusal.RefusedException;

/** The data, not the call, is the reason why a command cannot answer. */
final class DataAtFault extends RefusedException {
  private static final long serialVersionUID = 1L;

  DataAtFault(String message) {
    super(message);
  }
}
