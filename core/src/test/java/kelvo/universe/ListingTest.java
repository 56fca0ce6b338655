package kelvo.universe;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import kelvo.hit.RandomSessions;
import kelvo.session.Session;
import org.junit.jupiter.api.Test;

class ListingTest {
  private final Session session = RandomSessions.of(7, 3, 300);
  private final LocalDate today = session.hours().date();

  private String symbol(int security) {
    return session.security(security).symbol();
  }

  private List<Listing> listings(Figure... figures) {
    Universe universe =
        new Universe("test", List.of(), Set.of(symbol(0)), Set.of(symbol(1)), today);
    return Listing.of(universe, Membership.of(universe, session), session, List.of(figures));
  }

  @Test
  void eachSaysWhatWasSaidByHandAndWhyItIsOut() {
    assertThat(listings())
        .extracting(Listing::byHand)
        .containsExactly(Listing.ByHand.ADDED, Listing.ByHand.EXCLUDED, Listing.ByHand.NOTHING);
    assertThat(listings().get(1).whyOut()).isEqualTo("excluded by hand");
  }

  @Test
  void aSourceOfALaterDayIsNotKnownYet() {
    Figure own = new Figure(symbol(2), Figure.Kind.FLOAT, 5e6, today, "the annual report");
    Figure later =
        new Figure(symbol(2), Figure.Kind.FLOAT, 9e6, today.plusDays(1), "tomorrow's filing");

    assertThat(listings(own, later).get(2).source()).isEqualTo("the annual report");
    assertThat(listings(later).get(2).source()).isEmpty();
  }
}
