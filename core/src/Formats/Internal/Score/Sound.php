<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Score;

use Gravik\Performance\PlayedStroke;
use Gravik\Pitch\NoteName;
use Gravik\Strokes\Ornament;

/**
 * What sounds at one moment of a part: one or several notes from a tick until another.
 *
 * @internal used by MusicXmlFile
 */
final readonly class Sound
{
    /**
     * @param int $from  tick of the song
     * @param int $until tick of the song
     * @param list<array{midi: int, name: NoteName, string: ?int, fret: ?int, ornament: ?Ornament}> $notes the lowest first
     * @param ?PlayedStroke $stroke of a guitar; null for others
     * @param bool          $dead   without pitch
     * @param bool          $short  let go early
     */
    public function __construct(
        public int $from,
        public int $until,
        public array $notes,
        public ?PlayedStroke $stroke = null,
        public bool $dead = false,
        public bool $short = false,
    ) {}
}
