<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\Neck\Tuning;
use Gravik\Time\Feel;

/**
 * A song as another file tells it, before it is a breakdown.
 *
 * @internal used by the readers of drafts
 */
final readonly class DraftSong
{
    /**
     * @param list<DraftBar> $bars
     * @param array<string, list<int|null>> $grips chord => frets from the lowest string up, where the file defines them
     * @param list<string>   $unread in words
     */
    public function __construct(
        public string $title,
        public ?string $key,
        public ?float $tempo,
        public ?Feel $feel,
        public array $bars,
        public ?Tuning $tuning = null,
        public int $capo = 0,
        public array $grips = [],
        public array $unread = [],
        public string $notes = '',
    ) {}
}
