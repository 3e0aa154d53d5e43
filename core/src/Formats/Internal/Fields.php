<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal;

use Gravik\CoreException;
use Gravik\Formats\DocumentNotReadable;
use Gravik\Formats\Failure\FieldNotReadable;
use Gravik\Quote;

/**
 * One object of a JSON document, read field by field; every refusal names the place by its JSON pointer.
 *
 * @internal used by the readers of JSON formats
 */
final readonly class Fields
{
    /** @param array<array-key, mixed> $values */
    private function __construct(private array $values, private string $pointer) {}

    public static function of(mixed $value, string $pointer): self
    {
        return is_array($value) && ($value === [] || ! array_is_list($value))
            ? new self($value, $pointer)
            : throw new FieldNotReadable($pointer, 'an object is expected here.');
    }

    /** @param list<string> $known */
    public function only(array $known): self
    {
        foreach (array_keys($this->values) as $name) {
            if (! in_array($name, $known, true)) {
                throw new FieldNotReadable($this->pointer, sprintf('the field "%s" is not known here.', Quote::short((string) $name)));
            }
        }

        return $this;
    }

    public function has(string $name): bool
    {
        return isset($this->values[$name]);
    }

    public function string(string $name): string
    {
        $value = $this->value($name);

        return is_string($value) ? $value : throw new FieldNotReadable($this->at($name), 'a text is expected here.');
    }

    public function int(string $name): int
    {
        $value = $this->value($name);

        return is_int($value) ? $value : throw new FieldNotReadable($this->at($name), 'a whole number is expected here.');
    }

    public function number(string $name): float
    {
        $value = $this->value($name);

        return is_int($value) || is_float($value)
            ? (float) $value
            : throw new FieldNotReadable($this->at($name), 'a number is expected here.');
    }

    public function bool(string $name): bool
    {
        $value = $this->value($name);

        return is_bool($value) ? $value : throw new FieldNotReadable($this->at($name), 'true or false is expected here.');
    }

    public function object(string $name): self
    {
        return self::of($this->value($name), $this->at($name));
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     *
     * @return T
     */
    public function enum(string $name, string $enum): \BackedEnum
    {
        $value = $this->string($name);

        return $enum::tryFrom($value) ?? throw new FieldNotReadable($this->at($name), sprintf(
            '"%s" is not possible here; choose one of %s.', Quote::short($value), implode(', ', array_column($enum::cases(), 'value')),
        ));
    }

    /**
     * @template T
     *
     * @param callable(mixed, string): T $read gets each value and its pointer
     *
     * @return list<T>
     */
    public function list(string $name, callable $read, int $most = 10_000): array
    {
        $values = $this->value($name);
        if (! is_array($values) || ! array_is_list($values)) {
            throw new FieldNotReadable($this->at($name), 'a list is expected here.');
        }
        if (count($values) > $most) {
            throw new FieldNotReadable($this->at($name), sprintf('%d entries are too many; %d is the most.', count($values), $most));
        }
        $list = [];
        foreach ($values as $index => $value) {
            $list[] = $read($value, $this->at($name).'/'.$index);
        }

        return $list;
    }

    /**
     * A list that is not empty.
     *
     * @template T
     *
     * @param callable(mixed, string): T $read gets each value and its pointer
     *
     * @return non-empty-list<T>
     */
    public function some(string $name, callable $read, int $most): array
    {
        $list = $this->list($name, $read, $most);

        return $list !== [] ? $list : throw new FieldNotReadable($this->at($name), 'at least one is needed here.');
    }

    /**
     * Builds a core value from this object; what the value itself refuses is said with the place.
     *
     * @template T
     *
     * @param callable(): T $build
     *
     * @return T
     */
    public function build(callable $build, string $name = ''): mixed
    {
        try {
            return $build();
        } catch (DocumentNotReadable $problem) {
            throw $problem;
        } catch (CoreException $problem) {
            $within = is_string($problem->at()) ? $problem->at() : '';

            throw new FieldNotReadable(($name === '' ? $this->pointer : $this->at($name)).$within, $problem->getMessage());
        }
    }

    public static function intOrNull(mixed $value, string $pointer): ?int
    {
        return $value === null || is_int($value)
            ? $value
            : throw new FieldNotReadable($pointer, 'a whole number or null is expected here.');
    }

    public static function intIn(mixed $value, string $pointer): int
    {
        return is_int($value) ? $value : throw new FieldNotReadable($pointer, 'a whole number is expected here.');
    }

    public static function stringIn(mixed $value, string $pointer): string
    {
        return is_string($value) ? $value : throw new FieldNotReadable($pointer, 'a text is expected here.');
    }

    private function value(string $name): mixed
    {
        return array_key_exists($name, $this->values)
            ? $this->values[$name]
            : throw new FieldNotReadable($this->pointer, sprintf('the field "%s" is missing.', $name));
    }

    private function at(string $name): string
    {
        return $this->pointer.'/'.$name;
    }
}
