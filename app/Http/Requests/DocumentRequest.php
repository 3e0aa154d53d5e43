<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Breakdown\Breakdown;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\DocumentNotReadable;
use Gravik\Time\Tempo;
use Illuminate\Foundation\Http\FormRequest;

/** A request that carries a breakdown document. Its meaning is the core's business. */
class DocumentRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['document' => ['required', 'array'], 'tempo' => ['sometimes', 'nullable', 'numeric']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['document.*' => 'This file is not a breakdown. Choose a file that Gravik exported (.gravik.json).', 'tempo.*' => 'The tempo is a number of beats a minute.'];
    }

    /** @throws DocumentNotReadable */
    public function breakdown(): Breakdown
    {
        return (new BreakdownJson())->read($this->input('document'));
    }

    public function tempo(): ?Tempo
    {
        return $this->input('tempo') === null ? null : new Tempo($this->float('tempo'));
    }
}
