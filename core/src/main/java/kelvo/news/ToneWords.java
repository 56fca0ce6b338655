package kelvo.news;

/**
 * The phrases that make an item good or bad for the company's price, and those that make it weigh
 * more or less. Words of the whole trade; common practice, no source.
 */
final class ToneWords {
  static final WordList GOOD =
      new WordList(
          """
          2 record
          2 beats
          2 tops estimates
          2 above
          2 raises
          2 lifts
          2 upgrade*
          2 outperform
          2 approval
          2 breakthrough
          2 positive
          2 meets ... endpoint
          2 meets primary
          2 wins
          2 awarded
          2 secures
          2 to be acquired
          2 takeover
          2 taken private
          2 offers # a share
          2 strategic alternatives
          2 regains
          2 cleared
          2 clearance to
          2 buyback
          2 repurchase
          2 profit
          2 ahead of expectations
          2 dismisses
          2 sides with
          2 cures
          2 extension
          1 signs
          1 receives purchase
          1 order
          1 selected
          1 rises
          1 double*
          1 rally
          1 buys
          1 purchases
          1 activist
          1 raised
          1 stake in
          1 top pick
          1 bullish
          1 earns
          1 first
          1 dividend
          1 launches new
          1 best
          1 agrees to merge
          1 to buy
          1 for one
          1 hope*
          2 boost*
          2 jump*
          2 soar*
          2 surge*
          2 climb*
          2 strong*
          2 gain*
          2 improv*
          1 expand*
          2 grow*
          2 grant*
          1 lands
          1 picked
          1 chosen
          2 won
          1 deal
          1 adds
          2 in compliance
          2 throws out
          2 to be bought
          2 buyout
          1 bid from
          1 teams
          1 partnership
          1 partners with
          1 joins
          1 agree*
          1 consortium
          1 memorandum
          2 fast track
          2 green light
          2 overweight
          2 earns
          2 buy back
          2 stock split
          2 into the black
          2 expects double
          """);

  static final WordList BAD =
      new WordList(
          """
          3 loss
          3 misses
          3 miss
          3 cuts
          3 cut to
          3 lowers
          3 withdraws
          3 below
          3 downgrade*
          3 underperform
          3 warns
          3 fall short
          3 fails
          3 clinical hold
          3 hold on
          3 complete response letter
          3 votes against
          3 rules against
          3 delist*
          3 not in compliance
          3 suspended
          3 terminates
          3 loses
          3 called off
          3 fraud
          3 subpoena*
          3 class action
          3 sued
          3 fines
          3 damages
          3 lawsuit
          3 offering
          3 reverse split
          3 reverse stock split
          3 consolidate
          2 notice
          2 determination letter
          2 late annual
          2 down
          2 downside
          2 slow
          2 later than
          2 trims
          2 sell
          2 sells stock
          2 disposes
          2 investigat*
          2 charge*
          2 steps down
          2 fire
          2 deficiency
          2 dilut*
          1 spill
          3 slash*
          3 slide*
          3 into the red
          3 short of
          3 weak*
          3 reject*
          4 walks away
          4 cancel*
          3 warn*
          3 probe*
          3 sue
          3 remove
          3 unload*
          3 exits
          3 discount
          3 share consolidation
          3 plunge*
          3 tumble*
          3 drop*
          3 fall*
          3 fell
          3 sink*
          2 delay*
          2 halts
          3 recall*
          2 storm
          2 damage*
          3 class action
          3 underweight
          """);

  static final WordList HEAVY =
      new WordList(
          """
          1 record
          1 definitive
          1 phase 3
          1 primary endpoint
          1 # billion
          1 to be acquired
          1 largest
          1 delist*
          1 fraud
          1 takeover
          1 reverse split
          1 reverse stock split
          """);

  static final WordList LIGHT =
      new WordList(
          """
          1 conference
          1 to present
          1 to announce
          1 webcast
          1 reaffirms
          1 submits
          1 doses
          1 law firm
          1 deadline
          1 annual meeting
          1 memorandum
          1 letter of intent
          """);

  private ToneWords() {}
}
