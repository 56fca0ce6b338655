package kelvo.review;

/** A move with its verdict and what the price did. */
public record ReviewedMove(Move move, MoveVerdict verdict, Outcome outcome) {}
