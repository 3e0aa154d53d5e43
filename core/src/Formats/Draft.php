<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Breakdown\Breakdown;

/** A breakdown drafted from somebody else's file: what was read, and what was not, each with its place. */
final readonly class Draft
{
    /**
     * @param list<string> $read   in words
     * @param list<string> $unread in words, with the place
     * @param ?string      $picture of what stands in the file, as SVG; null where it is one of ours
     */
    public function __construct(public Breakdown $breakdown, public array $read, public array $unread, public ?string $picture = null) {}
}
