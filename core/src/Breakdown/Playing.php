<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Band\Groove;
use Gravik\Band\Role;
use Gravik\Chart\VoicingLine;
use Gravik\Strokes\NamedPattern;

/** How a part plays one section of one pass, everything inherited filled in. */
final readonly class Playing
{
    /** @param ?Groove $groove null for a part that plays none */
    public function __construct(
        public Role $role,
        public NamedPattern $pattern,
        public VoicingLine $line,
        public int $level,
        public ?Groove $groove,
    ) {}

    public function equals(self $other): bool
    {
        return [$this->role, $this->pattern->id, $this->line->id, $this->level, $this->groove?->slug] === [
            $other->role,
            $other->pattern->id,
            $other->line->id,
            $other->level,
            $other->groove?->slug,
        ];
    }
}
