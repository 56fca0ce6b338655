package kelvo.desktop;

record A(int b) {}
