/** The heads of a list that is taken along to the machine. */
export function ListHead({ titles }: { readonly titles: readonly string[] }) {
  return (
    <thead>
      <tr>
        {titles.map((title) => (
          <th key={title} className="border-b border-ink py-1 pr-2 text-left font-semibold">
            {title}
          </th>
        ))}
      </tr>
    </thead>
  );
}
