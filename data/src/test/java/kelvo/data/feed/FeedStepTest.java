package kelvo.data.feed;

import static org.assertj.core.api.Assertions.assertThat;

import kelvo.data.feed.LiveFeed.Standing;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class FeedStepTest {
  private static final long LOST = DayTime.of(9, 31);
  private static final long BACK = DayTime.of(9, 33);

  private final FeedStep step = new FeedStep();

  @Test
  void aFeedThatBeginsCatchesUpAndLeavesNoGap() {
    assertThat(step.now().standing()).isEqualTo(Standing.CATCHING_UP);
    step.answers(0);
    step.inStep(LOST);

    assertThat(step.now()).isEqualTo(new FeedStep.Now(Standing.IN_STEP, LOST));
    assertThat(step.gaps()).isEmpty();
  }

  @Test
  void aLostFeedIsLostSinceTheLastMomentToldUntilItIsInStepAgain() {
    step.inStep(LOST);
    step.lost(LOST);
    step.lost(LOST);
    assertThat(step.now()).isEqualTo(new FeedStep.Now(Standing.LOST, LOST));

    step.answers(LOST);
    assertThat(step.now()).isEqualTo(new FeedStep.Now(Standing.CATCHING_UP, LOST));
    step.inStep(BACK);
    assertThat(step.gaps()).containsExactly(new FeedGap(FeedGap.Kind.LOST, LOST, BACK));
    step.inStep(BACK + DayTime.SECOND);
    assertThat(step.gaps()).hasSize(1);
  }

  @Test
  void aHoleIsOneGapHoweverOftenItIsAskedFor() {
    step.inStep(LOST);
    step.hole(LOST);
    assertThat(step.now().standing()).isEqualTo(Standing.HOLE);
    step.answers(LOST);
    step.hole(LOST + DayTime.SECOND);
    step.inStep(BACK);

    assertThat(step.gaps()).containsExactly(new FeedGap(FeedGap.Kind.HOLE, LOST, BACK));
  }

  @Test
  void aConnectionLostWhileCatchingUpIsLostSinceTheFirstLoss() {
    step.inStep(LOST);
    step.lost(LOST);
    step.answers(LOST);
    step.lost(LOST + DayTime.MINUTE);

    assertThat(step.now()).isEqualTo(new FeedStep.Now(Standing.LOST, LOST));
  }
}
