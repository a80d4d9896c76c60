package vividroster.server.library;

/** How a belt is drawn: its own colour, its own weave and its own number of knots, so that it reads without colour. */
public record BeltLook(String color, String weave, int knots) {}
