<?php

declare(strict_types=1);

namespace App\Compute;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\FormChord;
use Gravik\Chart\VoicedForm;
use Gravik\Chart\VoicingLine;
use Gravik\Neck\Voicing;
use Illuminate\Contracts\Cache\Repository;

/**
 * The grips of a song, remembered line by line: they depend on its chords, the neck and the line alone, while tempo, feel
 * and strokes change from one key press to the next.
 */
final readonly class VoicedForms
{
    private const SECONDS = 3600;

    /** Part of the key: a change of the search or its costs must not find yesterday's grips. */
    private const RULES = '6';

    public function __construct(private Repository $cache) {}

    /** @return array<string, VoicedForm> by line */
    public function all(Breakdown $breakdown): array
    {
        return array_column(array_map(fn (VoicingLine $line): array => [$line->id, $this->of($breakdown, $line)], $breakdown->lines), 1, 0);
    }

    public function of(Breakdown $breakdown, VoicingLine $line): VoicedForm
    {
        $form = $breakdown->written();
        $voicer = Toolbox::of($breakdown, $line)->voicer();
        $key = 'grips:'.hash('xxh128', serialize([
            self::RULES,
            array_map(static fn (FormChord $chord): array => [$chord->at, $chord->chord->text()], $form->chords),
            $breakdown->neck->tuning->slug, $breakdown->neck->capo, $line->company, $line->pins, $line->wishes,
        ]));
        $known = $this->cache->get($key);
        if (is_array($known) && count($known) === count($form->chords)) {
            return $voicer->voiceWith($form, $line->pins, array_values($known));
        }
        $voiced = $voicer->voice($form, $line->pins);
        $this->cache->put($key, array_map(static fn (Voicing $voicing): array => $voicing->frets, $voiced->path->voicings), self::SECONDS);

        return $voiced;
    }
}
