package kelvo.bench;

import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.lang.invoke.MethodHandle;
import java.util.Optional;

/**
 * How much later than asked Linux may wake a thread so as to wake several at once: 50 us unless
 * told otherwise, which would be most of what {@link Latency} measures.
 */
final class TimerSlack {
  /** From the manual page prctl(2). */
  private static final int SET = 29;

  private TimerSlack() {}

  /** Asks for the least slack for the calling thread; does nothing where there is no such call. */
  @SuppressWarnings("restricted")
  static void least() {
    Optional<MemorySegment> prctl = Linker.nativeLinker().defaultLookup().find("prctl");
    if (prctl.isEmpty()) {
      return;
    }
    MethodHandle call =
        Linker.nativeLinker()
            .downcallHandle(
                prctl.get(),
                FunctionDescriptor.of(
                    ValueLayout.JAVA_INT, ValueLayout.JAVA_INT, ValueLayout.JAVA_LONG),
                Linker.Option.firstVariadicArg(1));
    try {
      int result = (int) call.invokeExact(SET, 1L);
      if (result != 0) {
        throw new IllegalStateException("prctl answered " + result);
      }
    } catch (Throwable e) {
      throw new IllegalStateException(e);
    }
  }
}
