<?php

declare(strict_types=1);

namespace Gravik\Strokes\Written;

use Gravik\Strokes\Pattern;
use Gravik\Strokes\School;
use Gravik\Time\Feel;

/** A pattern to start from, with what a teacher wants to know before taking it. */
final readonly class LibraryPattern
{
    /**
     * @param array{int, int} $tempo      beats a minute it is at home in, lowest and highest
     * @param int             $difficulty 1 easy to 3 hard
     * @param string          $when       when to use it
     * @param string          $caution    what goes wrong with it
     */
    public function __construct(
        public string $slug,
        public string $name,
        public Pattern $pattern,
        public Feel $feel,
        public array $tempo,
        public School $school,
        public int $difficulty,
        public string $when,
        public string $caution,
    ) {}
}
