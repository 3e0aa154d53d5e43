<?php

declare(strict_types=1);

namespace Gravik\Band;

/** A stroke of the guitar that the band can strike with. */
final readonly class Hit
{
    /**
     * @param int  $tick     from bar 1 beat 1, straight
     * @param int  $until    tick at which it is stopped, or something else is struck
     * @param int  $division of the beat that its place belongs to
     * @param int  $chord    which of the course's chords it sounds: a pushed one sounds ahead of its bar line
     * @param bool $hard     whether it is accented
     */
    public function __construct(public int $tick, public int $until, public int $division, public int $chord, public bool $hard) {}
}
