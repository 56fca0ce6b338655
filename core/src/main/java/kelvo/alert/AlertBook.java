package kelvo.alert;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kelvo.delivery.Channel;

/**
 * What the trader wants to ring.
 *
 * @param alerts in the order in which they were made, those that are gone too
 * @param scans the ways in which the hits of a scan ring on any symbol, by its name
 */
public record AlertBook(List<Alert> alerts, Map<String, Set<Channel>> scans) {
  /** Nothing. */
  public static final AlertBook EMPTY = new AlertBook(List.of(), Map.of());

  public AlertBook {
    alerts = List.copyOf(alerts);
    scans = Map.copyOf(scans);
  }

  /** The alerts that are not gone. */
  public List<Alert> standing() {
    return alerts.stream().filter(alert -> !alert.isRemoved()).toList();
  }

  /** With an alert in place of the one of the same name, or at the end. */
  public AlertBook with(Alert changed) {
    List<Alert> all = new ArrayList<>(alerts);
    boolean known = all.stream().anyMatch(alert -> alert.name().equals(changed.name()));
    if (known) {
      all.replaceAll(alert -> alert.name().equals(changed.name()) ? changed : alert);
    } else {
      all.add(changed);
    }
    return new AlertBook(all, scans);
  }

  /** With a scan's hits ringing in some ways on any symbol; in none, they do not. */
  public AlertBook ringing(String scan, Set<Channel> how) {
    Map<String, Set<Channel>> changed = new HashMap<>(scans);
    if (how.isEmpty()) {
      changed.remove(scan);
    } else {
      changed.put(scan, Set.copyOf(how));
    }
    return new AlertBook(alerts, changed);
  }
}
