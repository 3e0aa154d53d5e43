<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ears;

use App\Http\Controllers\Controller;
use App\Http\Requests\EarRequest;
use App\Models\Breakdown;
use App\Models\Ear;
use Gravik\Lesson\Steps\Flaw;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

final class NoteEar extends Controller
{
    #[OA\Post(path: '/api/breakdowns/{id}/ears', summary: 'Keep whether the right playing was told from the flawed one', parameters: [
        new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
    ], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['flaw', 'right'], properties: [
        new OA\Property(property: 'flaw', type: 'string', enum: Flaw::class),
        new OA\Property(property: 'right', type: 'boolean'),
    ])), responses: [new OA\Response(response: 204, description: 'kept')])]
    public function __invoke(EarRequest $request, Breakdown $breakdown): Response
    {
        Ear::query()->create([
            'user_id' => $this->user($request)->id,
            'breakdown_id' => $breakdown->id,
            'flaw' => $request->flaw(),
            'was_right' => $request->boolean('right'),
        ]);

        return response()->noContent();
    }
}
