package kelvo.desktop.workspace;

/**
 * A key of a stage or of the window.
 *
 * @param key as it stands on the keyboard
 * @param does what it does, in a few words
 */
public record StageKey(String key, String does) {}
