<?php

declare(strict_types=1);

namespace Gravik\Listening;

use Gravik\CoreException;

final class ListeningException extends \InvalidArgumentException implements CoreException
{
    public static function notATake(): self
    {
        return new self('This is no take: it needs a list of taps in seconds, such as {"taps": [{"t": 0.51, "key": "down"}]} or [0.51, 1.02].');
    }

    public static function tapTime(int $index): self
    {
        return new self(sprintf(
            'Tap %d has no time: each tap needs "t", its seconds from the start of the take, from 0 to 3600.',
            $index + 1,
        ));
    }

    public static function tapKey(int $index): self
    {
        return new self(sprintf('Tap %d names a key that is neither "down" nor "up".', $index + 1));
    }

    public static function tooManyTaps(int $count, int $most): self
    {
        return new self(sprintf('%d taps are more than one take holds; %d is the most.', $count, $most));
    }

    public static function nothingPlanned(): self
    {
        return new self('This breakdown has no strokes to play along to yet. Set some in Hand, and type a chord line in Chart.');
    }

    public static function tooLong(float $minutes, int $most): self
    {
        return new self(sprintf(
            'This recording is %.1f minutes long; up to %d minutes are heard. Cut out the part you mean and send that.',
            $minutes,
            $most,
        ));
    }

    public static function silence(): self
    {
        return new self('This recording is silent. Check that the microphone is on and near the guitar, and record again.');
    }

    public static function noStrokes(): self
    {
        return new self('No stroke begins anywhere in this recording: it is noise, or one long sound. Record the guitar closer, or alone.');
    }

    public static function tooFewForFeel(int $count, int $fewest): self
    {
        return new self(sprintf(
            '%s too few to measure a feel: it takes at least %d.',
            $count === 1 ? 'One stroke is' : $count.' strokes are',
            $fewest,
        ));
    }

    public static function tooFewBeats(int $count, int $fewest): self
    {
        return new self(sprintf(
            '%s too few to tell the tempo: tap at least %d.',
            $count === 1 ? 'One beat is' : $count.' beats are',
            $fewest,
        ));
    }

    public static function latency(): self
    {
        return new self('A delay of that size cannot be a device\'s: give −500 to 1000 ms.');
    }

    public static function nothingTapped(): self
    {
        return new self('Nothing was tapped. Wait for the count-in, then tap each stroke, down and up.');
    }

    public static function clicksNotHeard(int $heard, int $played): self
    {
        return new self(sprintf(
            'The microphone heard %d of the %d clicks. Play them over the loudspeaker, not headphones, a little louder, and hold the microphone near it.',
            $heard,
            $played,
        ));
    }

    public static function tooFewChecks(int $count): self
    {
        return new self(sprintf('%d taps are too few to measure the delay: tap along with at least eight of the sixteen clicks.', $count));
    }
}
