<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Band\Groove;
use Gravik\Band\Role;
use Gravik\Chart\VoicingLine;
use Gravik\Strokes\NamedPattern;

/** How a part plays a bar of one section of one pass, everything inherited filled in. */
final readonly class Playing
{
    /**
     * @param ?Groove $groove  null for a part that plays none
     * @param int     $dynamic levels louder or softer than the song is there
     */
    public function __construct(
        public Role $role,
        public NamedPattern $pattern,
        public VoicingLine $line,
        public int $level,
        public ?Groove $groove,
        public Texture $texture = Texture::Pattern,
        public int $dynamic = 0,
    ) {}

    /** Another's strokes over its own grips; where the other is out, so is it. */
    public function striking(self $other): self
    {
        $role = $other->role === Role::Out ? Role::Out : $this->role;

        return new self($role, $other->pattern, $this->line, $other->level, $this->groove, $other->texture, $this->dynamic);
    }

    /** The same bar with another pattern over another line of grips. */
    public function over(NamedPattern $pattern, VoicingLine $line): self
    {
        return new self($this->role, $pattern, $line, $this->level, $this->groove, $this->texture, $this->dynamic);
    }

    public function equals(self $other): bool
    {
        return $this->told() === $other->told();
    }

    /** @return list<mixed> */
    private function told(): array
    {
        return [
            $this->role, $this->pattern->id, $this->line->id, $this->level, $this->groove?->slug, $this->texture, $this->dynamic,
        ];
    }
}
