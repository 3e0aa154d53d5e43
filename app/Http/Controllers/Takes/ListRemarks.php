<?php

declare(strict_types=1);

namespace App\Http\Controllers\Takes;

use App\Http\Controllers\Controller;
use App\Models\Breakdown;
use App\Models\Remark;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'TakeRemark', required: ['id', 'by', 'text', 'seconds', 'created_at'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'by', type: 'string'),
    new OA\Property(property: 'text', type: 'string'),
    new OA\Property(property: 'seconds', type: 'number', nullable: true),
    new OA\Property(property: 'created_at', type: 'string'),
])]
final class ListRemarks extends Controller
{
    #[OA\Get(path: '/api/breakdowns/{id}/takes/{take}/remarks', summary: 'What teacher and student said of a take', parameters: [
        new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
        new OA\PathParameter(name: 'take', schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 200, description: 'the oldest first', content: new OA\JsonContent(
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/TakeRemark'),
    ))])]
    public function __invoke(Request $request, Breakdown $breakdown, string $take): JsonResponse
    {
        $found = $breakdown->takesSeenBy($this->user($request))->findOrFail($take);
        $remarks = Remark::query()->with('author:id,name')->where('take_id', $found->getKey())->oldest()->oldest('id')->get();

        return new JsonResponse($remarks->map(static fn (Remark $remark): array => self::told($remark))->all());
    }

    /** @return array<string, mixed> */
    public static function told(Remark $remark): array
    {
        return [
            'id' => $remark->id,
            'by' => $remark->author->name,
            'text' => $remark->text,
            'seconds' => $remark->seconds,
            'created_at' => $remark->created_at->toIso8601String(),
        ];
    }
}
