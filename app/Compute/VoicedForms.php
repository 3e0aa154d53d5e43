<?php

declare(strict_types=1);

namespace App\Compute;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\FormChord;
use Gravik\Chart\VoicedForm;
use Gravik\Neck\Voicing;
use Illuminate\Contracts\Cache\Repository;

/**
 * The grips of a form, remembered: they depend on chart, neck, company and pins alone, while tempo, feel and strokes
 * change from one key press to the next.
 */
final readonly class VoicedForms
{
    private const SECONDS = 3600;

    /** Part of the key: a change of the search or its costs must not find yesterday's grips. */
    private const RULES = '5';

    public function __construct(private Repository $cache) {}

    public function of(Breakdown $breakdown): VoicedForm
    {
        $form = $breakdown->form();
        $key = 'grips:'.hash('xxh128', serialize([
            self::RULES,
            array_map(static fn (FormChord $chord): array => [$chord->section, $chord->bar, $chord->at, $chord->chord->text()], $form->chords),
            $breakdown->neck->tuning->slug, $breakdown->neck->capo, $breakdown->company, $breakdown->pins, $breakdown->wishes,
        ]));
        $known = $this->cache->get($key);
        if (is_array($known) && count($known) === count($form->chords)) {
            return Toolbox::of($breakdown)->voicer()->voiceWith($form, $breakdown->pins, array_values($known));
        }
        $voiced = Toolbox::of($breakdown)->voicer()->voice($form, $breakdown->pins);
        $this->cache->put($key, array_map(static fn (Voicing $voicing): array => $voicing->frets, $voiced->path->voicings), self::SECONDS);

        return $voiced;
    }
}
