package kelvo.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;

/** A folder with one thing wrong in it: check tells that one thing, once, and exits with 1. */
class DamagedFoldersTest {
  private static final String DAY = "sessions/2031-03-12/";

  /** A small folder with a file of nearly every kind, in which nothing is wrong. */
  private static final Map<String, String> GOOD =
      Map.ofEntries(
          Map.entry(
              "securities.csv",
              """
              symbol,name,mic,cfi,sector,industry,country,shares_outstanding,float,float_as_of,shortable
              TIDARC,Tidal Arc Power,XNAS,ESVUFR,tidal power,tidal power,US,19600000,14000000,2031-01-13,yes
              KELPOR,Kelporium Foods,XNAS,ESVUFR,kelp foods,kelp foods,US,2940000,2100000,2031-01-13,no
              """),
          Map.entry(
              "daily.csv",
              """
              symbol,date,open,high,low,close,volume,trades
              TIDARC,2031-03-10,5,5.5,4.9,5.2,100000,500
              TIDARC,2031-03-11,5.2,5.6,5.1,5.4,120000,600
              """),
          Map.entry("actions.csv", "symbol,date,kind,ratio\nKELPOR,2031-03-12,split,0.1\n"),
          Map.entry(
              "calendar.csv",
              "date,time,symbol,kind,title\n2031-03-12,08:30:00,,prices,Consumer prices\n"),
          Map.entry(
              "fills.csv",
              """
              time,symbol,side,quantity,price,fee,account,order_id
              2031-03-12T09:31:00-04:00,TIDARC,buy,100,5.50,0.50,main,K1
              2031-03-12T09:35:00-04:00,TIDARC,sell,100,5.60,0.50,main,K2
              """),
          Map.entry(
              "figures.csv",
              "symbol,figure,value,as_of,source\nTIDARC,float,13000000,2031-02-01,by hand\n"),
          Map.entry(
              DAY + "trades.csv",
              """
              time,symbol,price,size,conditions,id
              09:30:00,TIDARC,5.50,100,regular,1
              09:31:00,TIDARC,5.52,200,regular,2
              09:32:00,TIDARC,5.53,300,regular,3
              """),
          Map.entry(
              DAY + "quotes.csv",
              """
              time,symbol,bid,bid_size,ask,ask_size
              09:30:00,TIDARC,5.49,100,5.51,100
              09:31:00,TIDARC,5.51,100,5.53,100
              """),
          Map.entry(
              DAY + "status.csv",
              "time,symbol,state,reason\n09:40:00,TIDARC,halted,LUDP\n09:45:00,TIDARC,trading,LUDP\n"),
          Map.entry(
              DAY + "corrections.csv",
              "time,symbol,id,action,price,size\n09:33:00,TIDARC,1,cancel,,\n"),
          Map.entry(
              DAY + "imbalance.csv",
              "time,symbol,side,paired,imbalance,reference\n09:28:00,TIDARC,buy,3000,500,5.45\n"),
          Map.entry(DAY + "mentions.csv", "time,symbol,count\n09:00:00,TIDARC,4\n"),
          Map.entry(
              "minutes/2031-03-11.csv",
              "symbol,time,open,high,low,close,volume,trades\nTIDARC,09:30:00,5.2,5.3,5.1,5.2,900,9\n"),
          Map.entry(
              "news/wire.json",
              """
              {"version": "https://jsonfeed.org/version/1.1", "title": "Harbour Wire", "items": [
               {"id": "1", "title": "Tidal Arc Power opens a plant", "tags": ["TIDARC"],
                "date_published": "2031-03-12T08:00:00-04:00"}]}
              """),
          Map.entry(
              "scans/halts.json",
              """
              {"kelvo": 1, "name": "Halts", "rules": ["price at least 0.50"],
               "triggers": ["halt", "resume"]}
              """),
          Map.entry("universes/all.json", "{\"kelvo\": 1, \"name\": \"All\", \"rules\": []}"),
          Map.entry(
              "lists/kelp.json",
              "{\"kelvo\": 1, \"name\": \"Kelp\", \"entries\": [{\"symbol\": \"KELPOR\"}]}"),
          Map.entry(
              "alerts.json",
              """
              {"kelvo": 1, "alerts": [{"alert": "TIDARC rises through 6, once, by popup",
               "armed": [{"from": "2031-03-11T04:00"}]}], "scans": []}
              """),
          Map.entry("ten.json", "{\"kelvo\": 1, \"most\": 12}"),
          Map.entry("settings.json", "{\"kelvo\": 1, \"theme\": \"night\"}"),
          Map.entry(
              "fields.json",
              "{\"kelvo\": 1, \"fields\": [{\"name\": \"push\", \"formula\": \"price - vwap\"}]}"),
          Map.entry(
              "checks.json",
              """
              {"kelvo": 1, "checks": [{"name": "Spread", "pass": "spread % at most 1%",
               "fail": "spread % above 3%"}]}
              """),
          Map.entry(
              "questions.json",
              """
              {"kelvo": 1, "questions": [{"name": "Halted", "scan": "Halts", "enter": "hit",
               "side": "long", "held": "close"}]}
              """),
          Map.entry(
              "sources.json",
              """
              {"sources": [{"name": "Harbour Wire", "kind": "wire",
               "url": "http://localhost:8730/feed.xml"}]}
              """));

  /**
   * One thing that is wrong.
   *
   * @param file which is changed
   * @param was what stands in it, or nothing when all of it is replaced
   * @param is what stands there in its place
   * @param told what the sentence about it has in it
   */
  private record Damage(String file, String was, String is, String told) {}

  private static final List<Damage> DAMAGES =
      List.of(
          new Damage("securities.csv", "19600000", "lots", "line 2, column shares_outstanding"),
          new Damage("securities.csv", "2100000", "-1", "line 3, column float"),
          new Damage("securities.csv", "KELPOR,Kelporium", ",Kelporium", "securities.csv, line 3"),
          new Damage("securities.csv", "KELPOR,Kelporium Foods", "KELPOR,\"Kelp", "securities.csv"),
          new Damage("daily.csv", "5.2,100000", "9,100000", "daily.csv, line 2"),
          new Damage("daily.csv", "2031-03-10", "2031-02-30", "daily.csv, line 2, column date"),
          new Damage("daily.csv", ",500\n", ",500,7\n", "daily.csv, line 2"),
          new Damage("daily.csv", "symbol,date", "ticker,date", "daily.csv"),
          new Damage("actions.csv", "0.1", "0", "actions.csv, line 2"),
          new Damage("actions.csv", "split", "spilt", "actions.csv, line 2"),
          new Damage("calendar.csv", "08:30:00", "8h30", "calendar.csv, line 2"),
          new Damage("calendar.csv", "2031-03-12", "12.3.2031", "calendar.csv, line 2"),
          new Damage("fills.csv", "buy,100", "bought,100", "fills.csv, line 2"),
          new Damage("fills.csv", "sell,100", "sell,0", "fills.csv, line 3"),
          new Damage("fills.csv", "5.60", "5,60", "fills.csv, line 3"),
          new Damage("fills.csv", "09:35:00-04:00", "", "fills.csv, line 3"),
          new Damage("figures.csv", "13000000", "many", "figures.csv, line 2"),
          new Damage("figures.csv", "float,13", "flaot,13", "figures.csv, line 2"),
          new Damage(DAY + "trades.csv", "5.52", "5.52001", "trades.csv, line 3"),
          new Damage(DAY + "trades.csv", "5.52", "five", "trades.csv, line 3, column price"),
          new Damage(DAY + "trades.csv", "200", "-200", "trades.csv, line 3"),
          new Damage(DAY + "trades.csv", "regular,2", "regullar,2", "trades.csv, line 3"),
          new Damage(
              DAY + "trades.csv", "09:31:00,TIDARC", "25:31:00,TIDARC", "trades.csv, line 3"),
          new Damage(DAY + "trades.csv", "TIDARC,5.53", "NOBODY,5.53", "trades.csv, line 4"),
          new Damage(DAY + "trades.csv", "regular,2", "regular,1", "trades.csv, line 3, column id"),
          new Damage(DAY + "trades.csv", "TIDARC,5.52", "TIDARC\u0000,5.52", "trades.csv, line 3"),
          new Damage(DAY + "quotes.csv", "5.53,100", "5.53,x", "quotes.csv, line 3"),
          new Damage(DAY + "quotes.csv", "time,symbol,bid", "time,symbol,bud", "quotes.csv"),
          new Damage(DAY + "status.csv", "halted", "stopped", "status.csv, line 2"),
          new Damage(DAY + "corrections.csv", "TIDARC,1", "TIDARC,77", "corrections.csv, line 2"),
          new Damage(DAY + "corrections.csv", "cancel", "forget", "corrections.csv, line 2"),
          new Damage(DAY + "imbalance.csv", "buy", "bye", "imbalance.csv, line 2"),
          new Damage(DAY + "mentions.csv", "TIDARC,4", "TIDARC,-4", "mentions.csv, line 2"),
          new Damage("minutes/2031-03-11.csv", "5.2,900", "9.2,900", "minutes/2031-03-11.csv"),
          new Damage("news/wire.json", "2031-03-12T08", "yesterday, 8", "news/wire.json"),
          new Damage("news/wire.json", "]}", "", "news/wire.json"),
          new Damage("scans/halts.json", "at least", "att least", "halts.json, rules 1"),
          new Damage("scans/halts.json", "resume", "resumes", "halts.json"),
          new Damage("universes/all.json", "[]", "[\"price at least 1\"]", "all.json"),
          new Damage("lists/kelp.json", "\"KELPOR\"", "7", "kelp.json"),
          new Damage("alerts.json", "rises through", "rises over", "alerts.json, alert 1"),
          new Damage("ten.json", "12", "0", "ten.json, most"),
          new Damage("settings.json", "night", "dusk", "settings.json, theme"),
          new Damage("fields.json", "price - vwap", "price -", "fields.json, field 1"),
          new Damage("checks.json", "at most 1%", "at most one", "checks.json, check 1"),
          new Damage("questions.json", "\"close\"", "\"Christmas\"", "questions.json"),
          new Damage("sources.json", "http:", "gopher:", "sources.json"));

  @TempDir Path scratch;

  private static void write(Path folder) throws IOException {
    for (Map.Entry<String, String> file : GOOD.entrySet()) {
      Path path = folder.resolve(file.getKey());
      Files.createDirectories(path.getParent());
      Files.writeString(path, file.getValue());
    }
  }

  private static List<String> check(Path folder, int code) {
    ByteArrayOutputStream printed = new ByteArrayOutputStream();
    ByteArrayOutputStream told = new ByteArrayOutputStream();
    Terminal terminal =
        new Terminal(
            new PrintStream(printed, true, StandardCharsets.UTF_8),
            new PrintStream(told, true, StandardCharsets.UTF_8));
    assertThat(Kelvo.run(terminal, "check", folder.toString()))
        .as(printed.toString(StandardCharsets.UTF_8))
        .isEqualTo(code);
    return printed.toString(StandardCharsets.UTF_8).lines().toList();
  }

  @TestFactory
  List<DynamicTest> eachFaultIsToldOnce() {
    List<DynamicTest> tests = new ArrayList<>();
    tests.add(
        DynamicTest.dynamicTest(
            "nothing is wrong",
            () -> {
              write(scratch);
              assertThat(check(scratch, 0)).isEmpty();
            }));
    for (Damage damage : DAMAGES) {
      tests.add(
          DynamicTest.dynamicTest(
              damage.file() + ": " + damage.is(),
              () -> {
                Path folder = Files.createTempDirectory(scratch, "damaged");
                write(folder);
                String good = GOOD.getOrDefault(damage.file(), "");
                assertThat(good).contains(damage.was());
                Files.writeString(
                    folder.resolve(damage.file()), good.replace(damage.was(), damage.is()));

                assertThat(check(folder, 1))
                    .singleElement()
                    .asString()
                    .contains(damage.told())
                    .doesNotContain("Exception", "java.")
                    .hasSizeLessThanOrEqualTo(200);
              }));
    }
    return tests;
  }
}
