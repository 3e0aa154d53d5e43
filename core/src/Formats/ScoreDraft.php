<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Formats\Failure\ScoreNotReadable;
use Gravik\Formats\Internal\Draft\DraftBuilder;
use Gravik\Formats\Internal\Draft\DraftSong;
use Gravik\Formats\Internal\Draft\ScoreBars;
use Gravik\Formats\Internal\Draft\ScoreParts;

/** Drafts a breakdown from a MusicXML score: the chords over it, and the strokes of its guitar. */
final readonly class ScoreDraft
{
    /**
     * @param string $xml a score, part by part
     *
     * @throws DraftNotReadable
     */
    public static function read(string $xml): Draft
    {
        $parts = ScoreParts::of($xml);
        $guitar = $parts->guitar() ?? throw new ScoreNotReadable('it has no part');
        $bars = ScoreBars::read($xml, $guitar, $parts->harmony());

        return DraftBuilder::build(new DraftSong(
            $parts->title,
            $bars->key,
            $bars->tempo,
            $bars->feel,
            $bars->bars,
            $bars->tuning,
            $bars->capo,
            unread: [...$parts->others($guitar), ...$bars->unread],
        ));
    }
}
