import type { JointView } from '../../core/views';
import type { ContactRole } from '../../core/parts';
import { contactName, type Contact } from '../../core/plugs';
import { ROLE } from '../../core/words';
import { formatDb, formatVolts } from '../../core/units';

const word = (role: ContactRole | null | undefined): string => (role ? ROLE[role].word : 'nothing');
const roleOf = (list: JointView['brings'], contact: Contact | null) =>
  list.find((entry) => entry.contact === contact)?.role;

/** Nothing at all lies on the pair of contacts. */
function floats(
  { jack, plug }: JointView,
  jackContact: Contact,
  plugContact: Contact | null,
  floating: readonly string[],
): boolean {
  const nodes = [
    `${jack.part}/${jack.port}.${jackContact}`,
    ...(plugContact ? [`${plug.part}/${plug.port}.${plugContact}`] : []),
  ];
  return nodes.some((node) => floating.includes(node));
}

/** The joint contact by contact: what meets what, and what is measured there against ground. */
export function ContactTable({ joint, floating }: { joint: JointView; floating: readonly string[] }) {
  if (joint.contacts.length === 0) return null;
  return (
    <div className="mt-2 overflow-x-auto">
      <table className="w-full text-sm">
        <caption className="sr-only">Contacts of this joint</caption>
        <thead className="text-soft text-left">
          <tr>
            <th className="py-1 pr-3 font-semibold">Jack contact</th>
            <th className="py-1 pr-3 font-semibold">touches</th>
            <th className="py-1 pr-3 text-right font-semibold">Direct</th>
            <th className="py-1 text-right font-semibold">Speech, RMS</th>
          </tr>
        </thead>
        <tbody>
          {joint.contacts.map((contact) => (
            <tr key={contact.jack} className="border-line border-t">
              <td className="py-1 pr-3">
                {contactName(contact.jack)}
                <span className="text-soft"> ({word(roleOf(joint.expects, contact.jack))})</span>
              </td>
              <td className="py-1 pr-3">
                {contact.plug ? contactName(contact.plug) : 'nothing'}
                {contact.plug && (
                  <span className="text-soft"> ({word(roleOf(joint.brings, contact.plug))})</span>
                )}
                {contact.uncertain && <span className="text-brass font-semibold"> depends on the jack</span>}
              </td>
              <td className="py-1 pr-3 text-right font-mono text-xs whitespace-nowrap">
                {contact.volts !== null
                  ? formatVolts(contact.volts)
                  : floats(joint, contact.jack, contact.plug, floating)
                    ? 'floats'
                    : '–'}
              </td>
              <td className="py-1 text-right font-mono text-xs whitespace-nowrap">
                {contact.level === null ? '–' : formatDb(contact.level, 'dBV')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
