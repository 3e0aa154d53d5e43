<?php

declare(strict_types=1);

namespace Gravik\Strokes;

/** How a stroke meets its strings. */
enum Contact
{
    /** One after the other, as pick or nail passes over them. */
    case Across;

    /** All at once: thumb and fingers close, or the hand comes down. */
    case Together;

    /** Slowly over damped strings into the last, the only one that rings. */
    case Dragged;
}
