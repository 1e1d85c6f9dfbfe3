import type { StoredProduct } from '../../../core/record';
import { ESSENTIAL_ON_FACE_PERCENT, PRODUCT_KINDS } from '../../../core/limits';
import { Button } from 'react-bootstrap';
import { data, Form, redirect, useActionData, useSearchParams } from 'react-router';
import { addProduct, changeProduct, productsOf } from '../../../server/db/queries/practice.server';
import { KeptRow } from '../../rooms/practice/kept-row';
import { productSchema, readIngredients, type ProductForm as Values } from '../../schemas/practice';
import { checkForm, readForm, type FieldErrors } from '../../schemas/read';
import { notFound, permitted } from '../../../server/access/session.server';
import { OnceKey } from '../../parts/fields/once-key';
import { Field, useCheckedForm, type Answered } from '../../parts/fields/field';
import type { Route } from './+types/products';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'stock');
  return { products: await productsOf(practiceId) };
}

export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'stock');
  const form = await readForm(request);
  const [what, id, version] = ['do', 'id', 'version'].map((name) => form.get(name));
  const told = (errors: FieldErrors, status: number, typed?: object) => data({ errors, typed }, { status });
  const stale = () =>
    told(
      {
        name: 'This product was changed in another window meanwhile. Load the page again to see it; what you typed is still here.',
      },
      409,
    );
  if (what === 'retire' || what === 'return') {
    const result = await changeProduct(who, id ?? '', Number(version), { retired: what === 'retire' });
    if (result === 'missing') notFound('product');
    return result === 'stale' ? stale() : redirect('/practice/products');
  }
  const input = await checkForm(productSchema, form, ['id', 'version', 'once']);
  if (!input.ok) return told(input.errors, 422, input.typed);
  const product = { ...input.value, ingredients: readIngredients(input.value.ingredients) };
  const result = id
    ? await changeProduct(who, id, Number(version), { body: product })
    : await addProduct(who, product, form.get('once'));
  if (result === 'missing') notFound('product');
  if (result === 'stale') return stale();
  if (result === 'name-taken') return told({ name: 'There is a product of this name already.' }, 422);
  return redirect('/practice/products');
}

export default function Products({ loaderData: { products } }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  const [query] = useSearchParams();
  const edited = products.find((p) => p.id === query.get('product'));
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Products</h1>
          <span className="soft">
            ingredients are held against each client’s allergies when one is chosen in Screen
          </span>
        </div>
        {products.length === 0 && (
          <p className="soft">None yet. Type in what stands on your shelf, ingredients as on the label.</p>
        )}
        <ul className="plain-list narrow">
          {products.map((p) => (
            <KeptRow
              key={p.id}
              kept={p}
              name={p.name}
              aside={`${p.kind.replace('-', ' ')}${p.essentialPercent ? `, ${p.essentialPercent} % essential oil` : ''}${p.retired ? ', no longer used' : ''}`}
              inUse={!p.retired}
              param="product"
              off={['retire', 'Use no longer']}
              on={['return', 'Use again']}
            >
              <div className="soft small">{p.ingredients.join(', ') || 'no ingredients on file'}</div>
            </KeptRow>
          ))}
        </ul>
        <h2 className="mt-4 mb-2">{edited ? `Change “${edited.name}”` : 'Add a product'}</h2>
        <ProductForm
          key={edited ? `${edited.id}-${edited.version}` : `new-${products.length}`}
          product={edited}
          answered={answered}
        />
      </main>
    </div>
  );
}

function ProductForm({ product, answered }: { product?: StoredProduct; answered: Answered }) {
  const { form, bind } = useCheckedForm<Values>(productSchema, answered, {
    name: product?.name ?? '',
    kind: product?.kind ?? 'oil',
    ingredients: product?.ingredients.join(', ') ?? '',
    essentialPercent: product?.essentialPercent ?? ('' as never),
  });
  return (
    <Form {...bind} className="narrow">
      {!product && <OnceKey />}
      {product && <input type="hidden" name="id" value={product.id} />}
      {product && <input type="hidden" name="version" value={product.version} />}
      <div className="form-grid">
        <Field form={form} name="name" label="Name on the label" />
        <Field form={form} name="kind" label="What it is">
          {PRODUCT_KINDS.map((k) => (
            <option key={k} value={k}>
              {k.replace('-', ' ')}
            </option>
          ))}
        </Field>
        <Field
          form={form}
          name="ingredients"
          label="Ingredients"
          as="textarea"
          rows={3}
          className="wide"
          hint="As on the label, with commas between them."
        />
        <Field
          form={form}
          name="essentialPercent"
          label="Essential oil in it, %"
          inputMode="decimal"
          hint={`Empty: none. On the face ${ESSENTIAL_ON_FACE_PERCENT} % at most.`}
        />
      </div>
      <Button type="submit" className="mt-3">
        {product ? 'Save the product' : 'Add the product'}
      </Button>
    </Form>
  );
}
