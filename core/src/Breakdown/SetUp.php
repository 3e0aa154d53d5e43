<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Breakdown\Failure\SetUpTooLong;
use Gravik\Neck\Tuning;

/** How the guitar is set up for the sound: what strikes, where along the string, what the hand rests on, tone and loudness, in one line. */
final readonly class SetUp
{
    private const LONGEST = 160;

    /** What such a line is usually put together from; of each row one. */
    public const WORDS = [
        'strikes with' => ['pick', 'thumb pick', 'bare fingers', 'pick and fingers'],
        'where' => ['over the last frets', 'over the hole', 'half-way to the bridge', 'near the bridge'],
        'hand rests on' => ['nothing', 'the bridge', 'the strings with its heel', 'the top with its little finger'],
        'tone' => ['unplugged', 'clean', 'at the edge', 'driven', 'neck pickup', 'bridge pickup', 'a little echo', 'slow tremolo'],
        'loudness' => ['just heard', 'below a voice', 'as loud as a voice'],
    ];

    /** @param ?Tuning $recordedIn tuning of the original; null where it is this one, or nobody knows */
    public function __construct(public string $line = '', public ?Tuning $recordedIn = null)
    {
        mb_strlen($line) <= self::LONGEST || throw new SetUpTooLong(self::LONGEST);
    }

    /** Why it will not sound like the original; null where it may. */
    public function caution(Tuning $tuning): ?string
    {
        return $this->recordedIn === null || $this->recordedIn->slug === $tuning->slug
            ? null
            : sprintf('The original is in another tuning (%s): it will sound different.', $this->recordedIn->slug);
    }
}
