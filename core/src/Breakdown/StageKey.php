<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Breakdown\Failure\StageNotReadable;

/** Which stage of a lesson: its kind, and of what where a lesson has several of a kind (a pass, a change, a click, one of one's own). */
final readonly class StageKey
{
    /** What stages that the teacher added are of; a number follows. */
    public const OWN = 'own-';

    /** @param string $of '' where there is but one of the kind */
    public function __construct(public Stage $stage, public string $of = '')
    {
        preg_match('~^[A-Za-z0-9._/-]{0,80}$~', $of) === 1 || throw new StageNotReadable($of);
    }

    /** @throws StageNotReadable of what no stage is called */
    public static function parse(string $text): self
    {
        [$slug, $of] = explode(' ', $text, 2) + ['', ''];

        return new self(Stage::named($slug) ?? throw new StageNotReadable($text), $of);
    }

    /** As it is sent about: "variations 2". */
    public function text(): string
    {
        return rtrim($this->stage->slug().' '.$this->of);
    }

    public function isOwn(): bool
    {
        return str_starts_with($this->of, self::OWN);
    }

    public function equals(self $other): bool
    {
        return $this->text() === $other->text();
    }
}
