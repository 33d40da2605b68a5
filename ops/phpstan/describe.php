<?php

declare(strict_types=1);

// Writes what docs/openapi.yaml describes as types for PHPStan, so that answers are checked against it before they are ever given:
// php ops/phpstan/describe.php > ops/phpstan/Described.gen.php

use Symfony\Component\Yaml\Yaml;

$root = dirname(__DIR__, 2);
require "$root/vendor/autoload.php";

/** @var array<string, array<string, mixed>> $schemas */
$schemas = Yaml::parseFile("$root/docs/openapi.yaml")['components']['schemas'];

/**
 * @param  array<string, mixed>  $schema
 * @param  array<string, array<string, mixed>>  $schemas  by name
 */
function typeOf(array $schema, array $schemas): string
{
    if (isset($schema['$ref'])) {
        return basename($schema['$ref']).'Json';
    }
    $either = $schema['oneOf'] ?? $schema['anyOf'] ?? null;
    if ($either !== null) {
        return implode('|', array_map(static fn (array $s): string => typeOf($s, $schemas), $either));
    }
    $kinds = (array) ($schema['type'] ?? match (true) {
        isset($schema['properties']), isset($schema['allOf']) => 'object',
        isset($schema['enum']) => 'string'.(in_array(null, $schema['enum'], true) ? '|null' : ''),
        default => 'mixed',
    });

    return implode('|', array_map(static fn (string $kind): string => match ($kind) {
        'string', 'string|null', 'null', 'mixed' => $kind,
        'integer' => 'int',
        'number' => 'int|float',
        'boolean' => 'bool',
        'array' => 'list<'.typeOf($schema['items'] ?? [], $schemas).'>',
        'object' => shapeOf($schema, $schemas),
        default => throw new LogicException("What is a $kind?"),
    }, $kinds));
}

/**
 * What a schema is made of by allOf stands in one shape: PHPStan has no type for an array that is this and that.
 *
 * @param  array<string, mixed>  $schema
 * @param  array<string, array<string, mixed>>  $schemas  by name
 */
function shapeOf(array $schema, array $schemas): string
{
    $fields = array_map(
        static fn (array $field): string => typeOf($field, $schemas),
        fieldsOf($schema, $schemas),
    );
    if ($fields !== []) {
        return 'array{'.implode(', ', array_map(static fn (string $name, string $type): string => "$name: $type", array_keys($fields), $fields)).'}';
    }
    // An empty map is cast to an object, so that it is {} and not [].
    $values = $schema['additionalProperties'] ?? null;

    return 'array<string, '.(is_array($values) ? typeOf($values, $schemas) : 'mixed').'>|object';
}

/**
 * @param  array<string, mixed>  $schema
 * @param  array<string, array<string, mixed>>  $schemas  by name
 * @return array<string, array<string, mixed>> schemas by name, with a ? behind it where the field may be missing
 */
function fieldsOf(array $schema, array $schemas): array
{
    $fields = [];
    foreach ($schema['allOf'] ?? [] as $part) {
        $fields = [...$fields, ...fieldsOf(isset($part['$ref']) ? $schemas[basename($part['$ref'])] : $part, $schemas)];
    }
    foreach ($schema['properties'] ?? [] as $name => $field) {
        $fields[$name.(in_array($name, $schema['required'] ?? [], true) ? '' : '?')] = $field;
    }

    return $fields;
}

echo "<?php\n\ndeclare(strict_types=1);\n\n/**\n * Made from docs/openapi.yaml by ops/phpstan/describe.php.\n *\n";
foreach ($schemas as $name => $schema) {
    echo " * @phpstan-type {$name}Json ", typeOf($schema, $schemas), "\n";
}
echo " */\nfinal class Described\n{\n}\n";
