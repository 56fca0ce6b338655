package kelvo.news;

import java.util.EnumMap;
import java.util.Map;

/**
 * The phrases by which an item's category is known, with how surely each tells it. Words of the
 * whole trade; common practice, no source.
 */
final class CategoryWords {
  static final Map<NewsCategory, WordList> LISTS = new EnumMap<>(NewsCategory.class);

  static {
    list(
        NewsCategory.EARNINGS,
        """
        3 earnings
        2 quarter* ... results
        2 financial results
        2 preliminary results
        2 full year results
        2 annual results
        3 eps
        3 ebitda
        2 net loss
        2 net income
        2 quarterly loss
        2 quarterly profit
        2 annual profit
        2 annual loss
        2 # a share against
        1 first quarter
        1 second quarter
        1 third quarter
        1 fourth quarter
        1 fiscal
        2 beat* ... estimates
        2 miss* ... estimates
        2 top* ... estimates
        2 beats ... expectations
        2 misses ... expectations
        2 record revenue
        2 revenue rises
        2 revenue falls
        2 revenue grew
        2 revenue fell
        1 sees sales between
        1 profit
        1 sales
        1 revenue
        1 quarter*
        2 first half
        2 half year
        2 results
        3 into the red
        3 into the black
        2 consensus
        3 cents a share
        3 earns
        1 margin*
        2 loss narrows
        2 loss widens
        2 trading update
        2 bottom line
        2 top line
        2 same store sales
        1 turnover
        1 per share
        """);
    list(
        NewsCategory.GUIDANCE,
        """
        4 guidance
        4 outlook
        3 forecast*
        3 warns
        3 sales target
        3 prior range
        2 reaffirms
        2 narrows
        3 fall short
        3 ahead of expectations
        3 below its earlier
        3 now expects
        2 earlier view
        2 full year target
        2 targets
        3 annual target*
        3 expects ... sales
        3 expects ... revenue
        3 expects ... profit
        3 sees ... sales
        3 sees ... revenue
        3 weaker demand
        3 stronger demand
        3 coming quarters
        2 next year
        2 next quarter
        3 projection*
        3 projects ... sales
        4 profit warning
        2 lifts ... target
        2 cuts ... target
        """);
    list(
        NewsCategory.OFFERING,
        """
        4 offering
        4 direct offering
        4 private placement
        4 shelf registration
        4 at the market program
        3 at the market
        3 convertible notes
        3 equity line
        3 sell common stock
        3 common stock and warrants
        3 exercised warrants
        3 warrant exercise
        3 new shares
        2 dilut*
        2 underwritten
        2 preferred shares
        4 registered direct
        3 placement
        4 share sale
        4 sale of shares
        4 stock sale
        4 files to sell
        3 sell up to
        3 raises # million
        4 capital raise
        3 raises capital
        2 financing
        3 convertible*
        3 warrants
        2 at a discount
        4 prospectus
        4 rights issue
        3 secondary
        3 issues ... shares
        4 bought deal
        """);
    list(
        NewsCategory.CONTRACT,
        """
        3 contract
        3 contracts
        3 purchase order
        3 order for
        3 order from
        2 supply agreement
        3 ... tender
        2 follow on order
        2 wins ... order
        2 lands order
        2 books ... order
        2 awarded
        2 selected to
        2 to supply
        1 orders
        1 agreement
        2 lands
        3 deal with
        3 deal to
        2 # million deal
        3 picked to
        3 picked as
        3 picked for
        3 picked by
        3 chosen
        3 selected
        2 orders
        3 cancels order
        2 supplier
        2 supplies
        2 renews
        2 multi year
        3 concession
        3 framework agreement
        2 to deliver
        2 to build
        2 to provide
        2 tapped to
        """);
    list(
        NewsCategory.PARTNERSHIP,
        """
        3 partnership
        3 partners with
        3 collaborat*
        3 joint venture
        3 memorandum of understanding
        3 letter of intent
        3 team up
        3 teams up
        3 join forces
        3 joins forces
        3 alliance
        3 to cooperate
        3 cooperat*
        3 licenses
        2 licensing agreement
        2 together with
        3 teams with
        3 agree to develop
        3 develop ... together
        3 jointly
        3 consortium
        3 memorandum
        3 mou
        2 joint
        2 pact
        3 tie up
        3 ties up
        3 link up
        3 links up
        3 pairs with
        3 co develop
        2 works with
        2 licens*
        """);
    list(
        NewsCategory.APPROVAL,
        """
        4 regulator approval
        3 wins ... approval
        3 approval for
        4 phase #
        4 primary endpoint
        4 topline
        4 clinical
        4 complete response letter
        4 breakthrough designation
        3 designation
        3 clearance
        3 cleared to
        3 marketing application
        2 trial
        3 field study
        3 late stage
        3 first patient
        3 panel votes
        2 study
        2 drug
        4 cleared by
        3 approval
        2 approves
        2 approved by
        3 health agency
        4 reject* application
        4 rejects ... application
        2 application
        4 fast track
        3 orphan
        3 patient*
        2 main goal
        3 endpoint
        3 green light
        2 nod
        3 certif*
        2 permit
        2 permits
        3 field trial
        3 enrol*
        3 regulator ... approves
        2 regulators
        """);
    list(
        NewsCategory.MERGER,
        """
        4 to be acquired
        4 acquisition
        4 acquires
        4 merger
        4 to merge
        4 merge with
        4 takeover
        4 buyout
        4 taken private
        4 strategic alternatives
        3 definitive agreement
        3 completes purchase
        3 raises bid
        3 tender offer
        3 offers # a share
        2 buys
        2 sells its
        2 unsolicited
        4 to be bought
        3 bought by
        3 purchase of
        4 bid for
        4 bid from
        4 suitor*
        4 merge*
        4 acquire*
        4 acquiring
        3 to buy
        3 divest*
        3 spin off
        3 spins off
        3 sale of its
        3 combination
        2 combine*
        4 goes private
        4 going private
        4 take* private
        """);
    list(
        NewsCategory.SPLIT,
        """
        5 reverse split
        5 reverse stock split
        5 stock split
        5 split adjusted
        4 share consolidation
        4 consolidate shares
        3 for one split
        3 splits its stock
        3 split
        2 1 for #
        3 consolidation
        3 for # stock
        """);
    list(
        NewsCategory.LISTING,
        """
        5 delist*
        5 listing
        5 minimum bid price
        4 bid price
        4 regains compliance
        4 not in compliance
        4 equity requirement
        3 hearings panel
        3 cures deficiency
        3 deficiency
        3 late annual report
        3 staff determination
        2 exchange
        2 suspended
        3 compliance
        4 sub dollar
        2 exchange rules
        2 remove ... shares
        2 hearing
        3 below $1
        2 trading suspended
        """);
    list(
        NewsCategory.RATING,
        """
        4 upgrade*
        4 downgrade*
        4 price target
        4 starts coverage
        4 initiated at
        4 initiates coverage
        4 outperform
        4 underperform
        4 top pick
        4 ... rating
        3 analyst*
        2 overweight
        2 underweight
        2 bullish
        2 bearish
        2 brokerage
        3 slashes target
        3 slashes ... target
        3 lifts target
        3 raises target
        3 cuts target
        3 trims target
        3 coverage
        2 neutral
        3 reiterates
        3 rated
        3 initiates
        3 equal weight
        2 upside
        2 downside
        """);
    list(
        NewsCategory.LEGAL,
        """
        4 class action
        4 lawsuit*
        4 law firm
        4 patent suit
        4 patent dispute
        4 patent case
        3 court
        3 jury
        3 sued
        3 sues
        3 subpoena*
        3 prosecutor*
        3 fraud
        3 fines
        3 fined
        3 settles
        3 damages
        2 investigat*
        2 charge*
        4 sue
        4 suing
        4 probe*
        4 judge
        1 claim
        1 claims
        4 litigation
        4 settlement
        3 settle
        4 indict*
        4 guilty
        2 appeal*
        4 verdict
        4 arbitrat*
        4 infring*
        3 penalt*
        4 allege*
        3 accus*
        4 injunction
        4 antitrust
        2 watchdog
        3 inquiry
        3 violat*
        """);
    list(
        NewsCategory.INSIDER,
        """
        4 insider*
        4 buyback
        4 repurchase*
        4 beneficial owner
        4 activist
        4 # stake
        4 stake
        4 passive position
        3 ownership
        3 holder ... cuts
        3 chief executive ... buys
        3 officer ... disposes
        3 directors ... sell
        3 director ... buys
        3 disposes of shares
        3 buys # shares
        2 sell stock
        4 chairman ... shares
        4 chief executive ... shares
        4 officer ... shares
        4 founder ... shares
        4 director* ... shares
        3 holder
        3 hedge fund
        2 exits
        4 buy back
        4 buys back
        3 unload*
        4 his shares
        4 her shares
        4 trims holding
        """);
    list(
        NewsCategory.PROMOTION,
        """
        6 sponsored
        6 paid advertisement
        6 paid content
        6 paid profile
        6 advertorial
        6 promoted
        6 compensated
        5 newsletter
        5 penny stock
        5 hot stock
        5 stock alert
        5 stock pick
        5 investor awareness
        4 stocks to watch
        4 about to explode
        4 next giant
        4 touts
        5 penny stocks
        6 paid research
        6 advertisement
        6 discloses payment
        4 top # ... stocks
        4 hidden gem
        3 next big
        4 paid by
        """);
  }

  private CategoryWords() {}

  private static void list(NewsCategory category, String phrases) {
    LISTS.put(category, new WordList(phrases));
  }
}
