package kelvo.bench;

record A(int b) {}
